<script setup lang="ts">
import { sheetShimPath, type SheetShim } from '~~/core/shims/sheetShim'

/** A shim to be cut from sheet, as large as there is room; its sizes are typed where they are measured. */
const props = defineProps<{ shim: SheetShim | null; name: string }>()
/** An ordinary shim stands in, dashed, until the figures are there. */
const STANDS_IN: SheetShim = { length: 100, width: 80, slot: 22, toBolt: 62 }
const drawn = computed(() => props.shim ?? STANDS_IN)
const pad = computed(() => 0.06 * Math.max(drawn.value.length, drawn.value.width))
const box = computed(
  () =>
    `${-pad.value} ${-pad.value} ${drawn.value.width + 2 * pad.value} ${drawn.value.length + 2 * pad.value}`,
)
const stroke = computed(() => Math.max(drawn.value.length, drawn.value.width) / 160)
const bolt = computed(() => ({
  x: drawn.value.width / 2,
  y: drawn.value.length - drawn.value.toBolt,
  r: drawn.value.slot / 2,
}))
</script>

<template>
  <svg :viewBox="box" role="img" :aria-label="name" :class="{ stands: !shim }">
    <path :d="sheetShimPath(drawn) ?? ''" class="sheet" :stroke-width="stroke * 2" />
    <path
      class="axis"
      :stroke-width="stroke"
      :d="`M${bolt.x - bolt.r * 1.5} ${bolt.y}H${bolt.x + bolt.r * 1.5}M${bolt.x} ${bolt.y - bolt.r * 1.5}V${drawn.length}`"
    />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 100%;
  max-height: 300px;
}
.sheet {
  fill: var(--dye-deep);
  stroke: var(--scribe);
}
.stands .sheet {
  stroke: var(--dye-line);
  stroke-dasharray: 4 3;
}
.axis {
  fill: none;
  stroke: var(--scribe-dim);
  stroke-dasharray: 5 3 1 3;
}
</style>
