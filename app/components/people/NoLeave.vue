<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import IconLock from '~icons/lucide/lock'

/** What stands where somebody may not look or change: whose it is, and how to go on. */
const words = useWords()
const w = shellWords(words)
</script>

<template>
  <div class="no-leave panel" role="note">
    <IconLock aria-hidden="true" />
    <p><slot /></p>
    <NuxtLink to="/">{{ w.today }}</NuxtLink>
  </div>
</template>

<style scoped>
.no-leave {
  display: flex;
  gap: 14px;
  align-items: center;
  margin-top: 16px;
  padding: 18px;
}
p {
  flex: 1;
}
</style>
