<script setup lang="ts">
/** What stands where an answer is still awaited or did not come. */
defineProps<{ waiting: boolean; failure: ApiFailure | null }>()
defineEmits<{ again: [] }>()
</script>

<template>
  <div v-if="failure" class="state panel" role="alert">
    <p>{{ failure.message }}</p>
    <button type="button" class="quiet-button" @click="$emit('again')">Try again</button>
  </div>
  <p v-else-if="waiting" class="state muted" role="status">Fetching …</p>
  <slot v-else />
</template>

<style scoped>
.state {
  margin-top: 20px;
  padding: 18px;
  display: flex;
  gap: 16px;
  align-items: center;
  justify-content: space-between;
}
</style>
