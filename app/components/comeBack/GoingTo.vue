<script setup lang="ts">
import type { Going } from '~~/shared/drawing/going'

/** Where a machine was left cold and where it should stand warm, seen along the shaft: the cross is straight. */
const props = defineProps<{ going: Going; says: string }>()
const HALF = 30
/** The arrow ends short of the ring it goes to. */
const SHORT = 5
const at = ([x, y]: readonly [number, number]) => ({ x: HALF + x * (HALF - 4), y: HALF - y * (HALF - 4) })
const from = computed(() => at(props.going.from))
const to = computed(() => at(props.going.to))
const arrow = computed(() => {
  const [dx, dy] = [to.value.x - from.value.x, to.value.y - from.value.y]
  const length = Math.hypot(dx, dy) || 1
  const along = (d: number, side: number) =>
    `${to.value.x - (dx * d - dy * side) / length},${to.value.y - (dy * d + dx * side) / length}`
  return { tip: along(SHORT, 0), left: along(SHORT + 6, 4), right: along(SHORT + 6, -4) }
})
</script>

<template>
  <svg class="going" viewBox="0 0 60 60" role="img" :aria-label="says">
    <path d="M30 3V57M3 30H57" class="straight" />
    <path :d="`M${from.x} ${from.y}L${arrow.tip}`" class="way" />
    <path :d="`M${arrow.left}L${arrow.tip}L${arrow.right}`" class="way" />
    <circle :cx="from.x" :cy="from.y" r="3.5" class="cold" />
    <circle :cx="to.x" :cy="to.y" r="4" class="warm" />
  </svg>
</template>

<style scoped>
.going {
  flex: none;
  width: 60px;
  height: 60px;
  border-radius: 3px;
  background: var(--dye);
}
path,
circle {
  fill: none;
  stroke-width: 1.5;
}
.straight {
  stroke: var(--scribe-dim);
  stroke-dasharray: 3 3;
  stroke-width: 1;
}
.way {
  stroke: var(--scribe);
}
.cold {
  fill: var(--scribe);
}
.warm {
  stroke: var(--scribe);
  stroke-dasharray: 3 2;
}
</style>
