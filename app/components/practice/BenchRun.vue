<script setup lang="ts">
import { practiceWords } from '~~/shared/wording/en/practice'

/** Guard, lock, a run until it is warm, and the wait after it. */
const practice = usePractice()
const w = practiceWords(useWords()).bench.run
const state = computed(() => practice.now!)
const warm = computed(() =>
  state.value.warm < 0.02 ? w.cold : w.warm(`${Math.round(state.value.warm * 100)} %`),
)
</script>

<template>
  <div class="tools">
    <el-button class="dye-button" @click="practice.hands({ act: 'guard', on: !state.guarded })">{{
      state.guarded ? w.guardOff : w.guardOn
    }}</el-button>
    <el-button class="dye-button" @click="practice.hands({ act: 'lock', on: !state.locked })">{{
      state.locked ? w.unlock : w.lock
    }}</el-button>
    <el-button class="dye-button" @click="practice.hands({ act: 'run', minutes: 30 })">{{ w.run }}</el-button>
    <el-button class="dye-button" @click="practice.hands({ act: 'wait', minutes: 15 })">{{
      w.wait
    }}</el-button>
  </div>
  <p role="status">{{ state.locked ? w.locked : w.live }} · {{ warm }}</p>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0;
}
</style>
