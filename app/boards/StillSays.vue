<script setup lang="ts">
/** Whether a needle stands still, beside it: a dot that is filled once it does, and the word. */
defineProps<{ says: string; steady: boolean }>()
</script>

<template>
  <span class="says" :class="{ steady }">{{ says }}</span>
</template>

<style scoped>
.says {
  font-size: 13px;
  color: var(--scribe);
}
.says::before {
  content: '';
  display: inline-block;
  width: 8px;
  height: 8px;
  margin-right: 6px;
  border: 2px solid var(--scribe-dim);
  border-radius: 6px;
}
.steady::before {
  background: var(--scribe);
}
</style>
