<script setup lang="ts">
import { driveBenchWords } from '~~/shared/wording/en/driveBench'

/** Guard, lock, and a run of two hours or of a day: new belts bed in. */
const practice = usePractice()
const w = driveBenchWords(useWords()).run
const state = computed(() => practice.drive!.now)
const ran = computed(() => {
  const { days } = state.value
  if (days === 0) return w.notRun
  return w.ran(days < 0.99 ? w.some : w.days(Math.round(days)))
})
</script>

<template>
  <BenchLock :state="state" :told="ran">
    <el-button class="dye-button" @click="practice.hands({ act: 'run', minutes: 120 })">{{
      w.hours
    }}</el-button>
    <el-button class="dye-button" @click="practice.hands({ act: 'run', minutes: 1440 })">{{
      w.day
    }}</el-button>
  </BenchLock>
</template>
