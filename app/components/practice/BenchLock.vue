<script setup lang="ts">
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'

/** Guard and lock before and after a run, and what else is done with hands off the machine. */
defineProps<{ state: { readonly guarded: boolean; readonly locked: boolean }; told?: string }>()
const practice = usePractice()
const w = practiceBenchWords(useWords()).bench.run
</script>

<template>
  <div class="tools">
    <el-button class="dye-button" @click="practice.hands({ act: 'guard', on: !state.guarded })">{{
      state.guarded ? w.guardOff : w.guardOn
    }}</el-button>
    <el-button class="dye-button" @click="practice.hands({ act: 'lock', on: !state.locked })">{{
      state.locked ? w.unlock : w.lock
    }}</el-button>
    <slot />
  </div>
  <p role="status">{{ `${state.locked ? w.locked : w.live}${told ? ` · ${told}` : ''}` }}</p>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0;
}
.tools :deep(.el-button) {
  margin: 0;
}
</style>
