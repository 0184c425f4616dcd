<script setup lang="ts">
import { softFootWords } from '~~/shared/wording/en'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'

/** The frame from above with a wedge toward each foot, as wide as its diagonal rises; the twist between them. Millimetres. */
const props = defineProps<{
  twist: number | null
  twistBefore: number | null
  /** Mean rise of f1 and f3, and of f2 and f4. */
  diagonals: readonly [number, number] | null
  diagonalsBefore: readonly [number, number] | null
  limit: number
  units: UnitSystem
}>()
const words = useWords()
const w = softFootWords(words)
const otherEnd = useOtherEnd()
const d = (x: number) => figure(x, 'displacement', props.units)
const most = computed(() =>
  Math.max(props.limit, ...(props.diagonals ?? []), ...(props.diagonalsBefore ?? [])),
)
/** From the middle outward to f1, f3 and to f2, f4. */
const TOWARD = [
  [-0.55, -1],
  [0.55, 1],
  [0.55, -1],
  [-0.55, 1],
] as const
const wedges = (diagonals: readonly [number, number] | null) =>
  (diagonals ? TOWARD : []).map(([x, y], i) => {
    const mean = diagonals?.[i < 2 ? 0 : 1] ?? 0
    const half = 2 + (13 * mean) / most.value
    const length = Math.hypot(x, y)
    const at = (along: number, across: number) =>
      `${100 + (along * x - across * y) / length},${150 + (along * y + across * x) / length}`
    return { over: mean > props.limit, points: [at(46, 0), at(112, half), at(112, -half)].join(' ') }
  })
</script>

<template>
  <svg viewBox="0 0 200 300" preserveAspectRatio="xMidYMid meet" aria-hidden="true">
    <g :transform="otherEnd ? 'rotate(180 100 150)' : undefined">
      <path d="M86 0h28v16h-28z M70 16h60v14H70z" class="line" />
      <rect x="18" y="30" width="164" height="240" class="line" />
      <path d="M62 270v16h76v-16" class="line" />
      <path d="M100 40v64M100 198v64" class="axis" />
      <polygon v-for="(x, i) in wedges(diagonalsBefore)" :key="`b${i}`" :points="x.points" class="ghost" />
      <polygon
        v-for="(x, i) in wedges(diagonals)"
        :key="i"
        :points="x.points"
        :class="x.over ? 'over' : 'calm'"
      />
    </g>
    <template v-if="twist !== null">
      <text x="100" y="150" class="twist" :class="{ over: twist > limit }">{{ d(twist) }}</text>
      <text x="100" y="168" class="small">{{ w.view.twist(UNIT_NAMES[units].displacement) }}</text>
      <text v-if="twistBefore !== null" x="100" y="184" class="small dim">
        {{ w.view.twistWas(d(twistBefore)) }}
      </text>
    </template>
  </svg>
</template>

<style scoped>
.line {
  fill: none;
  stroke: var(--scribe);
  stroke-width: 1.5;
}
.axis {
  stroke: var(--scribe-dim);
  stroke-dasharray: 10 4 2 4;
}
.ghost {
  fill: none;
  stroke: var(--scribe-dim);
  stroke-dasharray: 4 3;
}
polygon.over,
text.over {
  fill: var(--out-on-dye);
}
polygon.calm {
  fill: var(--scribe-dim);
}
text {
  text-anchor: middle;
  fill: var(--scribe);
}
.twist {
  font-family: var(--figures);
  font-size: 30px;
}
.small {
  font-size: 13px;
}
.small.dim {
  fill: var(--scribe-dim);
}
</style>
