<script setup lang="ts">
import { actionsWords } from '~~/shared/wording/en'

/** What stands where an answer is still awaited or did not come. */
defineProps<{ waiting: boolean; failure: ApiFailure | null }>()
defineEmits<{ again: [] }>()
const words = useWords()
const w = actionsWords(words)
</script>

<template>
  <div v-if="failure" class="state panel" role="alert">
    <p>{{ failure.message }}</p>
    <el-button class="quiet-button" @click="$emit('again')">{{ w.tryAgain }}</el-button>
  </div>
  <div v-else-if="waiting" class="waiting" role="status" :aria-label="w.fetching">
    <el-skeleton :rows="4" animated />
  </div>
  <slot v-else />
</template>

<style scoped>
.waiting {
  margin-top: 20px;
}
.state {
  margin-top: 20px;
  padding: 18px;
  display: flex;
  gap: 16px;
  align-items: center;
  justify-content: space-between;
}
</style>
