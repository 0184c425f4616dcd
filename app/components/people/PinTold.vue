<script setup lang="ts">
import { peopleWords } from '~~/shared/wording/en'

/** A PIN that lets somebody in once, shown this once: it is nowhere else. */
defineProps<{ pin: string }>()
const emit = defineEmits<{ told: [] }>()
const words = useWords()
const w = peopleWords(words).admin
</script>

<template>
  <div class="told" role="status">
    <p class="given figure">{{ pin }}</p>
    <p>{{ w.once(pin) }}</p>
    <el-button class="next-button" @click="emit('told')">{{ w.told }}</el-button>
  </div>
</template>

<style scoped>
.told {
  display: grid;
  gap: 12px;
}
.given {
  font-size: 30px;
  letter-spacing: 0.08em;
}
</style>
