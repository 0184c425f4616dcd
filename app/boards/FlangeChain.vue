<script setup lang="ts">
import { flangeTapeWords } from '~~/shared/wording/en'
import type { DrawnDial } from '~~/shared/methods/form'

/**
 * Distances along upright shafts: the driven hub below, the motor's above, the flange it hangs in, and where the dials run; the
 * boxes stand beside what they measure.
 */
const props = defineProps<{
  dials: readonly (DrawnDial & { readonly at: number | null; readonly circle: number | null })[]
  flange: { readonly plane: number | null; readonly across: number | null } | null
  feet?: readonly (number | null)[]
  movableName: string
  stationaryName: string
}>()
const w = flangeTapeWords(useWords())

const H = 250
const X = 130
const COUPLING = 196
/** Up is up: what is further along the shafts stands higher. */
const plane = computed(() => props.flange?.plane ?? 300)
const y = (mm: number) => COUPLING - (96 * mm) / Math.max(plane.value, 1)
const half = computed(() => Math.min(104, Math.max(58, (48 * (props.flange?.across ?? 300)) / plane.value)))
const drawn = computed(() =>
  props.dials.map((d, i) => {
    const at = (d.at ?? 30) * (d.carriedBy === 'movable' ? -1 : 1)
    const tip = Math.min(COUPLING + 34, Math.max(COUPLING - 46, y(at * 0.8)))
    const post = d.carriedBy === 'movable' ? COUPLING - 22 : COUPLING + 22
    return { key: i, tip, post, side: i % 2 === 0 ? -1 : 1, face: d.face !== undefined }
  }),
)
</script>

<template>
  <div class="drawn">
    <svg :viewBox="`0 0 260 ${H}`" role="img" :aria-label="w.drawn">
      <g class="body">
        <rect :x="X - 40" :y="6" width="80" :height="y(plane) - 14" rx="6" />
        <rect :x="X - half" :y="y(plane) - 8" :width="2 * half" height="9" />
      </g>
      <g class="frame">
        <path :d="`M${X - half} ${y(plane) + 2}h${2 * half}v9h${-2 * half}z`" />
        <path :d="`M${X - half + 8} ${y(plane) + 11}V${H - 16}M${X + half - 8} ${y(plane) + 11}V${H - 16}`" />
        <rect :x="X - half" :y="H - 30" :width="2 * half" height="24" />
      </g>
      <path class="shaft" :d="`M${X} ${y(plane) + 2}V${COUPLING - 20}M${X} ${COUPLING + 20}V${H - 30}`" />
      <g class="hub">
        <rect :x="X - 26" :y="COUPLING - 20" width="52" height="16" />
        <rect :x="X - 26" :y="COUPLING + 4" width="52" height="16" />
      </g>
      <path class="centre" :d="`M${X - 60} ${COUPLING}H${X + 60}`" />
      <g v-for="d in drawn" :key="d.key" class="dial">
        <path :d="`M${X} ${d.post}H${X + d.side * 44}V${d.tip}H${X + d.side * (d.face ? 20 : 28)}`" />
        <circle :cx="X + d.side * 44" :cy="d.tip" r="8" />
      </g>
      <path
        class="measure"
        :d="`M${X + half + 10} ${COUPLING}V${y(plane)}m-5 0h10M${X + half + 5} ${COUPLING}h10`"
      />
      <text :x="X" :y="y(plane) / 2 + 4" text-anchor="middle">{{ movableName }}</text>
      <text :x="X" :y="H - 13" text-anchor="middle">{{ stationaryName }}</text>
    </svg>
    <div class="boxes">
      <slot name="flange" />
      <slot name="stationary" />
      <slot name="movable" />
    </div>
  </div>
</template>

<style scoped>
.drawn {
  display: grid;
  grid-template-columns: minmax(200px, 270px) minmax(0, 1fr);
  gap: 8px 20px;
  align-items: center;
}
svg {
  display: block;
  width: 100%;
  max-height: 250px;
}
.boxes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(136px, 1fr));
  gap: 10px 14px;
  align-items: end;
}
.boxes :deep(label) {
  display: flex;
  align-items: end;
  min-height: 2.5em;
}
.body,
.frame,
.hub {
  fill: #24296a;
  stroke: var(--scribe);
  stroke-width: 1.5;
}
.frame {
  fill: none;
  stroke: var(--scribe-dim);
}
.shaft {
  stroke: var(--scribe);
  stroke-width: 5;
}
.centre,
.measure {
  fill: none;
  stroke: var(--scribe-dim);
  stroke-dasharray: 5 4;
}
.measure {
  stroke-dasharray: none;
}
.dial {
  fill: none;
  stroke: var(--brass-on-dye);
  stroke-width: 2;
}
.dial circle {
  fill: var(--dye-deep);
}
text {
  fill: var(--scribe);
  font-size: 14px;
}
@media (max-width: 640px) {
  .drawn {
    grid-template-columns: 1fr;
  }
  svg {
    max-height: 190px;
  }
  .boxes {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
