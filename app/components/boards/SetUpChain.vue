<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import type { Carrier, Plunger } from '~~/core/coupling/dialSet'

/** The distances as they are taped, drawn to scale as soon as they are typed. Box units throughout. */
const props = defineProps<{
  rimPlane: number | null
  faceDiameter: number | null
  toInboard: number | null
  inboardToOutboard: number | null
  carriedBy: Carrier
  plunger: Plunger
  movableName: string
  stationaryName: string
  unit: string
}>()
const W = 700
const H = 186
const AXIS = 92

const a = computed(() => props.toInboard ?? 1)
const b = computed(() => props.inboardToOutboard ?? a.value * 1.6)
const x = computed(() =>
  scaleLinear()
    .domain([-(a.value + b.value) * 0.42, (a.value + b.value) * 1.1])
    .range([10, W - 10]),
)
const side = computed(() => (props.carriedBy === 'movable' ? -1 : 1))
const tip = computed(() => x.value(side.value * (props.rimPlane ?? a.value * 0.12)))
const clampX = (at: number) => Math.min(W - 20, Math.max(20, at))
const post = computed(() => x.value(-side.value * a.value * 0.16))
const faceReach = computed(() =>
  Math.min(27, Math.max(18, ((props.faceDiameter ?? 0) / (a.value + b.value)) * 120)),
)
/** Away: onto the near face of the other hub. Back: reaching over, onto its far face. */
const faceTip = computed(() => x.value(0) + side.value * (props.plunger === 'away' ? 8 : 36))
const label = (v: number | null) => (v === null ? '?' : `${Number(Math.abs(v).toPrecision(5))} ${props.unit}`)
</script>

<template>
  <svg :viewBox="`0 0 ${W} ${H}`" class="chain" role="img" aria-label="The distances as taped, from the side">
    <g fill="none" stroke="#DCE3FF" stroke-width="1.5">
      <path :d="`M10 ${AXIS}H${x(0) - 8}`" stroke-width="3" />
      <path :d="`M${x(0) + 8} ${AXIS}H${x(a) - 14}`" stroke-width="3" />
      <rect :x="x(0) - 8 - 26" :y="AXIS - 30" width="26" height="60" />
      <rect :x="x(0) + 8" :y="AXIS - 30" width="26" height="60" />
      <rect :x="x(a) - 14" :y="AXIS - 36" :width="x(a + b) - x(a) + 28" height="72" rx="3" />
      <path :d="`M10 ${AXIS + 36}V${AXIS - 40}H${Math.max(20, x(-(a + b) * 0.26))}V${AXIS + 36}`" />
    </g>
    <!-- bracket and dials in brass: what is being set up -->
    <g fill="none" stroke="#E0B04A" stroke-width="2">
      <path :d="`M${post} ${AXIS}V24H${clampX(tip)}V${AXIS - 33}`" />
      <circle :cx="clampX(tip)" cy="38" r="9" fill="#15183F" />
      <path :d="`M${post} ${AXIS + faceReach}V${AXIS}M${post} ${AXIS + faceReach}H${faceTip}`" />
      <circle :cx="(post + faceTip) / 2" :cy="AXIS + faceReach" r="7" fill="#15183F" />
    </g>
    <g fill="#DCE3FF">
      <path v-for="f in [a, a + b]" :key="f" :d="`M${x(f) - 11} ${AXIS + 50}h22l-5 -14h-12z`" />
    </g>
    <path :d="`M${x(0)} 22V${H - 6}`" stroke="#8F9AD6" stroke-dasharray="5 4" />
    <g stroke="#8F9AD6" fill="none">
      <path :d="`M${x(0)} 160H${x(a)}H${x(a + b)}M${x(0)} 154v12M${x(a)} 154v12M${x(a + b)} 154v12`" />
    </g>
    <g class="figure" fill="#DCE3FF" font-size="15" text-anchor="middle">
      <text :x="(x(0) + x(a)) / 2" y="180">{{ label(toInboard) }}</text>
      <text :x="(x(a) + x(a + b)) / 2" y="180">{{ label(inboardToOutboard) }}</text>
      <text :x="(clampX(tip) + x(0)) / 2" y="16" fill="#E0B04A">{{ label(rimPlane) }}</text>
    </g>
    <g fill="#DCE3FF" font-size="15">
      <text :x="x(a)" :y="AXIS + 5">{{ movableName }}</text>
      <text x="18" :y="AXIS + 54" font-size="14">{{ stationaryName }}</text>
    </g>
  </svg>
</template>

<style scoped>
.chain {
  display: block;
  width: 100%;
  max-height: 200px;
}
</style>
