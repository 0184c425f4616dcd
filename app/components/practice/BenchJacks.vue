<script setup lang="ts">
import { sideDialsNow } from '~~/core/practice/feelers'
import type { MachineRole } from '~~/core/plan/pairNames'
import { toCore } from '~~/core/units/unitSystem'
import { machineNames } from '~~/shared/wording/machineNames'
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'
import { UNIT_NAMES } from '~~/shared/wording/figures'

/** Jacking bolts at both ends, with a dial beside each: small bites, watched. */
const practice = usePractice()
const session = useSession()
const words = useWords()
const w = practiceBenchWords(words).bench
const state = computed(() => practice.coupled!.now)
const dials = computed(() => sideDialsNow(state.value))
const BITES = { inch: [1, 5, 20], metric: [0.01, 0.05, 0.2] } as const
const bite = ref<number>(1)
const which = ref<MachineRole>('movable')
const names = computed(() => machineNames({ machine: practice.record?.machine ?? {} }))
/** A driven machine that must not be moved has no jacking bolts. */
const locked = computed(
  () => practice.coupled?.bench.setting.machine.feet.stationary.every((f) => f.locked) ?? true,
)
const push = (pair: 0 | 1, way: 1 | -1) => {
  const by = toCore(BITES[session.units][bite.value] ?? 0, 'displacement', session.units)
  practice.hands({ act: 'push', machine: which.value, pair, by: way * by })
}
const swapped = computed(() => practice.coupled?.bench.faults.has('swapped-marks') ?? false)
const hour = (way: 1 | -1) => ((way === 1) === !swapped.value ? '3' : '9')
</script>

<template>
  <div class="tools">
    <el-radio-group v-model="bite" :aria-label="w.jacks.bite">
      <el-radio-button v-for="(b, i) in BITES[session.units]" :key="b" :value="i"
        >{{ b }} {{ UNIT_NAMES[session.units].displacement }}</el-radio-button
      >
    </el-radio-group>
    <el-radio-group v-if="!locked" v-model="which" :aria-label="w.jacks.which">
      <el-radio-button v-for="m in ['movable', 'stationary'] as const" :key="m" :value="m">{{
        names[m]
      }}</el-radio-button>
    </el-radio-group>
    <el-button class="dye-button" @click="practice.hands({ act: 'bolts', tight: state.loose.size > 0 })">{{
      state.loose.size > 0 ? w.feet.allTight : w.feet.allLoose
    }}</el-button>
    <el-button class="dye-button" @click="practice.hands({ act: 'side-dials' })">{{
      w.jacks.zero
    }}</el-button>
  </div>
  <div class="ends">
    <div v-for="(end, i) in w.jacks.ends" :key="end" class="end">
      <el-button
        class="dye-button"
        :aria-label="w.jacks.push(names[which], end, hour(-1))"
        @click="push(i as 0 | 1, -1)"
        >{{ w.jacks.toward(hour(-1)) }}</el-button
      >
      <figure>
        <figcaption>{{ end }}</figcaption>
        <BenchDial v-if="dials" :name="end" :value="dials[i as 0 | 1]" :units="session.units" />
        <p v-else>{{ w.jacks.none }}</p>
      </figure>
      <el-button
        class="dye-button"
        :aria-label="w.jacks.push(names[which], end, hour(1))"
        @click="push(i as 0 | 1, 1)"
        >{{ w.jacks.toward(hour(1)) }}</el-button
      >
    </div>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.ends {
  display: flex;
  justify-content: center;
  gap: 10px 18px;
  margin-top: 6px;
}
.end {
  display: flex;
  align-items: center;
  gap: 6px;
}
.end .el-button {
  margin: 0;
  padding-inline: 10px;
}
figure {
  width: 124px;
  margin: 0;
  text-align: center;
  font-size: 13px;
  color: var(--scribe-dim);
}
@media (max-width: 640px) {
  .ends {
    flex-wrap: wrap;
  }
}
</style>
