<script setup lang="ts">
import { drawingsWords } from '~~/shared/wording/en'
import { along } from '~~/shared/drawing/along'
import { toCore } from '~~/core/units/unitSystem'
import type { CoupledFields } from '~~/shared/register/coupledMachine'
import { figure } from '~~/shared/wording/figures'

/** A coupled machine from the side, to scale along the shafts, with its own distances written on. */
const props = defineProps<{ machine: CoupledFields; units: 'inch' | 'metric' }>()
const words = useWords()
const w = drawingsWords(words)
const W = 720
const H = 300
const AXIS = 128
const BASE = 206

const mm = (x: number) => toCore(x, 'distance', props.machine.units)
const feet = computed(() => props.machine.feet.movable.map((f) => mm(f.x)))
const near = computed(() => feet.value[0] ?? 300)
const outermost = computed(() => feet.value[feet.value.length - 1] ?? 600)
const stationary = computed(() => props.machine.feet.stationary.map((f) => mm(f.x)).sort((a, b) => b - a))
const far = computed(() => Math.min(...stationary.value, -near.value))
const x = computed(() => along([far.value * 1.18, outermost.value * 1.14], [16, W - 16]))
const spool = computed(() => {
  const t = props.machine.tolerance
  return 'spoolLength' in t && t.spoolLength ? mm(t.spoolLength) : null
})
const gap = computed(() => (spool.value ? x.value(spool.value / 2) - x.value(0) : 7))
const hub = computed(() => Math.min(26, (x.value(near.value) - x.value(0)) / 3))
const label = (value: number) => figure(value, 'distance', props.units, { unit: true })
const nearest = computed(() => stationary.value[0] ?? far.value * 0.4)
const furthest = computed(() => stationary.value[stationary.value.length - 1] ?? far.value)
const spans = computed(() =>
  feet.value.map((at, i) => {
    const from = feet.value[i - 1] ?? 0
    return { from, to: at, text: label(at - from) }
  }),
)
/** Where rim dials and heads run, as the register says. */
const planes = computed(() => {
  const u = props.machine.usual
  const dial = (at: number) => ({ at: mm(at), text: w.dial(label(Math.abs(mm(at)))) })
  switch (u.method) {
    case 'rim-face':
      return [{ at: mm(u.rimPlane), text: w.rimDial(label(Math.abs(mm(u.rimPlane)))) }]
    case 'reverse-rim':
      return [dial(u.onStationary), dial(u.onMovable)]
    case 'heads':
      return [dial(-u.stationaryPlane), dial(u.movablePlane)]
    default:
      return []
  }
})
</script>

<template>
  <svg
    :viewBox="`0 0 ${W} ${H}`"
    class="drawing"
    role="img"
    :aria-label="w.machine(machine.movableName, machine.stationaryName)"
  >
    <g fill="none" stroke="#DCE3FF" stroke-width="1.6">
      <rect :x="x(furthest) - 16" y="70" :width="x(nearest) - x(furthest) + 32" height="122" rx="3" />
      <rect :x="x(near) - 18" y="78" :width="x(outermost) - x(near) + 36" height="106" rx="3" />
      <path
        :d="`M${x(nearest) + 16} ${AXIS}H${x(0) - gap - hub}M${x(0) + gap + hub} ${AXIS}H${x(near) - 18}`"
        stroke-width="4"
      />
      <rect :x="x(0) - gap - hub" :y="AXIS - 34" :width="hub" height="68" />
      <rect :x="x(0) + gap" :y="AXIS - 34" :width="hub" height="68" />
      <path v-if="spool" :d="`M${x(0) - gap} ${AXIS}H${x(0) + gap}`" stroke-width="8" stroke="#8F9AD6" />
    </g>
    <path :d="`M16 ${AXIS}H${W - 16}`" stroke="#8F9AD6" stroke-dasharray="14 4 3 4" />
    <g fill="#DCE3FF">
      <path v-for="f in [...stationary, ...feet]" :key="f" :d="`M${x(f) - 12} ${BASE}h24l-5 -16h-14z`" />
    </g>
    <path :d="`M16 ${BASE}H${W - 16}`" stroke="#8F9AD6" stroke-width="2" />
    <g stroke="#8F9AD6" fill="none">
      <path
        v-for="s in spans"
        :key="s.to"
        :d="`M${x(s.from)} 240H${x(s.to)}M${x(s.from)} 234v12M${x(s.to)} 234v12`"
      />
      <path v-for="p in planes" :key="p.at" :d="`M${x(p.at)} 276H${x(0)}M${x(p.at)} 270v12M${x(0)} 270v12`" />
    </g>
    <g class="figure" fill="#DCE3FF" font-size="15">
      <text v-for="s in spans" :key="s.to" :x="(x(s.from) + x(s.to)) / 2" y="234" text-anchor="middle">
        {{ s.text }}
      </text>
      <text
        v-for="p in planes"
        :key="p.at"
        :x="p.at < 0 && planes.length > 1 ? x(p.at) - 10 : Math.max(x(0), x(p.at)) + 10"
        y="281"
        :text-anchor="p.at < 0 && planes.length > 1 ? 'end' : 'start'"
      >
        {{ p.text }}
      </text>
    </g>
    <g fill="#DCE3FF" font-size="16">
      <text :x="x(near) - 8" y="66">{{ machine.movableName }}</text>
      <text :x="x(furthest) - 14" y="58">{{ machine.stationaryName }}</text>
    </g>
  </svg>
</template>

<style scoped>
.drawing {
  display: block;
  width: 100%;
  height: 100%;
  background: var(--dye);
  border-radius: 4px;
}
</style>
