<script setup lang="ts">
import { feltAt } from '~~/core/practice/instrumentsOnBench'
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'

/** Guard, lock, a run until it is warm, the wait after it, and a thermometer at every pair of feet. */
const practice = usePractice()
const session = useSession()
const telling = useTelling()
const w = computed(() => practiceBenchWords(telling.value.words).bench.run)
const state = computed(() => practice.coupled!.now)
const feet = computed(() => {
  const { bench, now } = practice.coupled!
  const names = {
    movable: practice.record!.machine.movableName,
    stationary: practice.record!.machine.stationaryName,
  }
  return (['movable', 'stationary'] as const).flatMap((machine) =>
    (bench.feet[machine] ?? []).map((pair) => ({
      id: `${machine} ${pair.id}`,
      name: `${names[machine]}, ${telling.value.footNames(pair.id, machine)}`,
      value: feltAt(bench, now, { at: 'warmth', machine, pair: pair.id })?.value ?? 0,
    })),
  )
})
</script>

<template>
  <BenchLock :state="state">
    <el-button class="dye-button" @click="practice.hands({ act: 'run', minutes: 30 })">{{ w.run }}</el-button>
    <el-button class="dye-button" @click="practice.hands({ act: 'wait', minutes: 15 })">{{
      w.wait
    }}</el-button>
    <el-button class="dye-button" @click="practice.hands({ act: 'wait', minutes: 120 })">{{
      w.waitLong
    }}</el-button>
  </BenchLock>
  <div class="feet">
    <figure v-for="f in feet" :key="f.id">
      <figcaption>{{ `${f.name}, ${w.degrees[session.units]}` }}</figcaption>
      <BenchThermometer :value="f.value" :units="session.units" :label="w.thermometer(f.name)" />
    </figure>
  </div>
</template>

<style scoped>
.feet {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 6px 18px;
}
figure {
  margin: 0;
  font-size: 14px;
  color: var(--scribe-dim);
}
</style>
