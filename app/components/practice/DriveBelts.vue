<script setup lang="ts">
import { gaugeDeflection, gaugeMost, gaugeNow, ringsMost, ringsNow } from '~~/core/practice/drive/driveSeen'
import { settable } from '~~/core/practice/drive/driveBench'
import { machineNow } from '~~/core/practice/drive/driveState'
import { CONVERSIONS, fromCore, toCore } from '~~/core/units/unitSystem'
import { driveBenchWords } from '~~/shared/wording/en/driveBench'
import { figure } from '~~/shared/wording/figures'

/** Belts off and on, another set, the gauge on one of them; and a sheave that can be set. */
const practice = usePractice()
const session = useSession()
const words = useWords()
const w = driveBenchWords(words).belts
const bench = computed(() => practice.drive!.bench)
const state = computed(() => practice.drive!.now)
const machine = computed(() => machineNow(bench.value, state.value))
const belt = ref(0)
const gauged = computed(() => (state.value.beltsOn ? state.value.gauged : null))
const pushed = computed(() => gauged.value?.by === 'push')
/** Only belts whose weight somebody knows tell anything by how they ring. */
const rings = computed(() => ringsMost(bench.value))
const gauge = computed(() => {
  const at = gauged.value
  const label = at ? w.gauge(String(at.belt + 1)) : w.noGauge
  if (at?.by === 'tap')
    return { value: ringsNow(bench.value, state.value, at.belt), most: rings.value ?? 1, unit: 'Hz', label }
  const own = (newtons: number) => fromCore(newtons, 'force', session.units)
  return {
    value: at && own(gaugeNow(bench.value, state.value, at.belt)),
    most: own(gaugeMost(bench.value)),
    unit: CONVERSIONS[session.units].force.unit,
    label,
  }
})
const deflection = computed(() =>
  figure(gaugeDeflection(bench.value), 'distance', session.units, { unit: true }),
)
const mm = (x: number) => toCore(x, 'distance', machine.value.units)
const diameters = computed(() => ({
  motor: mm(machine.value.sheaves.motor.pitchDiameter),
  driven: mm(machine.value.sheaves.driven.pitchDiameter),
}))
const names = computed(() => ({
  motor: practice.record!.machine.movableName,
  driven: practice.record!.machine.stationaryName,
}))
const place = computed(() => settable(machine.value))
const build = computed(() => {
  const b = place.value && machine.value.sheaves[place.value].build
  return b?.kind === 'variable' ? b : null
})
</script>

<template>
  <div class="belts">
    <div class="tools">
      <el-button class="dye-button" @click="practice.hands({ act: 'belts', on: !state.beltsOn })">{{
        state.beltsOn ? w.off : w.on
      }}</el-button>
      <el-button v-if="!state.beltsOn" class="dye-button" @click="practice.hands({ act: 'new-set' })">{{
        w.another
      }}</el-button>
      <p class="note">{{ w.nth(state.set) }}</p>
      <template v-if="state.beltsOn">
        <el-radio-group v-model="belt" :aria-label="w.belt">
          <el-radio-button v-for="n in bench.geometry.grooves" :key="n" :value="n - 1">{{
            n
          }}</el-radio-button>
        </el-radio-group>
        <el-button class="dye-button" @click="practice.hands({ act: 'push-belt', belt })">{{
          w.push
        }}</el-button>
        <el-button
          v-if="rings !== null"
          class="dye-button"
          @click="practice.hands({ act: 'tap-belt', belt })"
          >{{ w.tap }}</el-button
        >
        <p class="note">{{ w.deflection(deflection) }}</p>
      </template>
      <div v-if="build && place" class="setting">
        <p class="note">{{ w.settingOf(names[place].toLowerCase()) }}</p>
        <svg viewBox="-12 0 264 44" role="img" :aria-label="w.settingOf(names[place].toLowerCase())">
          <path d="M0 22H240" stroke="#DCE3FF" stroke-width="1.5" />
          <path
            v-for="i in build.turnsMost * 4 + 1"
            :key="i"
            :d="`M${((i - 1) / (build.turnsMost * 4)) * 240} ${(i - 1) % 4 === 0 ? 10 : 16}V22`"
            stroke="#DCE3FF"
          />
          <text y="40" font-size="14" fill="#A3AEE0">{{ w.closed }}</text>
          <text x="240" y="40" font-size="14" fill="#A3AEE0" text-anchor="end">{{ w.most }}</text>
          <path :d="`M${(build.turnsOpen / build.turnsMost) * 240} 26V4`" stroke="#E0B04A" stroke-width="3" />
        </svg>
        <el-button class="dye-button" @click="practice.hands({ act: 'set-sheave', turns: -0.5 })">{{
          w.close
        }}</el-button>
        <el-button class="dye-button" @click="practice.hands({ act: 'set-sheave', turns: 0.5 })">{{
          w.open
        }}</el-button>
      </div>
    </div>
    <BenchGauge v-bind="gauge" />
    <BeltSide
      v-if="state.beltsOn"
      :diameters="diameters"
      :centre="bench.geometry.centre"
      :deflection="gaugeDeflection(bench)"
      figure=""
      what=""
      :names="{ motor: '', driven: '' }"
      :pushed="pushed"
      :words="words"
    />
  </div>
</template>

<style scoped>
.belts {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 220px minmax(0, 1fr);
  gap: 16px;
  align-items: start;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.tools .el-button {
  margin: 0;
}
.note {
  flex-basis: 100%;
  font-size: 14px;
  color: var(--scribe-dim);
}
.setting {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.setting svg {
  display: block;
  width: 100%;
  max-width: 280px;
}
@media (max-width: 900px) {
  .belts {
    grid-template-columns: minmax(0, 1fr) 150px;
  }
}
</style>
