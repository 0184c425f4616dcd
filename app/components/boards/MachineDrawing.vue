<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { toCore } from '~~/core/units/unitSystem'
import type { MachineFields } from '~~/shared/register/machine'
import { figure } from '~~/shared/wording/figures'

/** A machine from the side, to scale along the shafts, with its own distances written on. */
const props = defineProps<{ machine: MachineFields }>()
const session = useSession()
const W = 720
const H = 300
const AXIS = 128
const BASE = 206

const mm = (x: number) => toCore(x, 'distance', props.machine.units)
const inboard = computed(() => mm(props.machine.feet[0].x))
const outboard = computed(() => mm(props.machine.feet[1].x))
const stationary = computed(() => props.machine.stationaryFeet.map((f) => mm(f.x)).sort((a, b) => b - a))
const far = computed(() => Math.min(...stationary.value, -inboard.value))
const x = computed(() =>
  scaleLinear()
    .domain([far.value * 1.18, outboard.value * 1.14])
    .range([16, W - 16]),
)
const spool = computed(() => {
  const t = props.machine.tolerance
  return 'spoolLength' in t && t.spoolLength ? mm(t.spoolLength) : null
})
const gap = computed(() => (spool.value ? x.value(spool.value / 2) - x.value(0) : 7))
const hub = computed(() => Math.min(26, (x.value(inboard.value) - x.value(0)) / 3))
const label = (value: number) => figure(value, 'distance', session.units, { unit: true })
const rows = computed(() => [
  { from: 0, to: inboard.value, y: 240, text: label(inboard.value) },
  { from: inboard.value, to: outboard.value, y: 240, text: label(outboard.value - inboard.value) },
  {
    from: mm(props.machine.usual.rimPlane),
    to: 0,
    y: 276,
    text: `rim dial ${label(Math.abs(mm(props.machine.usual.rimPlane)))}`,
  },
])
</script>

<template>
  <svg
    :viewBox="`0 0 ${W} ${H}`"
    class="drawing"
    role="img"
    :aria-label="`${machine.movableName} and ${machine.stationaryName} from the side`"
  >
    <g fill="none" stroke="#DCE3FF" stroke-width="1.6">
      <rect
        :x="x(stationary[stationary.length - 1] ?? far) - 16"
        y="70"
        :width="x(stationary[0] ?? far * 0.4) - x(stationary[stationary.length - 1] ?? far) + 32"
        height="122"
        rx="3"
      />
      <rect :x="x(inboard) - 18" y="78" :width="x(outboard) - x(inboard) + 36" height="106" rx="3" />
      <path
        :d="`M${x(stationary[0] ?? far * 0.4) + 16} ${AXIS}H${x(0) - gap - hub}M${x(0) + gap + hub} ${AXIS}H${x(inboard) - 18}`"
        stroke-width="4"
      />
      <rect :x="x(0) - gap - hub" :y="AXIS - 34" :width="hub" height="68" />
      <rect :x="x(0) + gap" :y="AXIS - 34" :width="hub" height="68" />
      <path v-if="spool" :d="`M${x(0) - gap} ${AXIS}H${x(0) + gap}`" stroke-width="8" stroke="#8F9AD6" />
    </g>
    <path :d="`M16 ${AXIS}H${W - 16}`" stroke="#8F9AD6" stroke-dasharray="14 4 3 4" />
    <g fill="#DCE3FF">
      <path
        v-for="f in [...stationary, inboard, outboard]"
        :key="f"
        :d="`M${x(f) - 12} ${BASE}h24l-5 -16h-14z`"
      />
    </g>
    <path :d="`M16 ${BASE}H${W - 16}`" stroke="#8F9AD6" stroke-width="2" />
    <g v-for="row in rows" :key="row.text" stroke="#8F9AD6" fill="none">
      <path
        :d="`M${x(row.from)} ${row.y}H${x(row.to)}M${x(row.from)} ${row.y - 6}v12M${x(row.to)} ${row.y - 6}v12`"
      />
    </g>
    <g class="figure" fill="#DCE3FF" font-size="15">
      <text
        v-for="row in rows.slice(0, 2)"
        :key="row.text"
        :x="(x(row.from) + x(row.to)) / 2"
        :y="row.y - 6"
        text-anchor="middle"
      >
        {{ row.text }}
      </text>
      <text :x="x(0) + 10" :y="281" text-anchor="start">{{ rows[2]?.text }}</text>
    </g>
    <g fill="#DCE3FF" font-size="16">
      <text :x="x(inboard) - 8" y="66">{{ machine.movableName }}</text>
      <text :x="x(stationary[stationary.length - 1] ?? far) - 14" y="58">{{ machine.stationaryName }}</text>
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
text {
  stroke: none;
}
</style>
