<script setup lang="ts">
import { drawLeaves } from '~~/shared/drawing/leaves'

/**
 * What lies under one foot, to scale: leaves that stay, that come out, that go in; above them how far the
 * foot rises, now and in the round before. Millimetres.
 */
const props = defineProps<{
  pack: readonly number[]
  putIn: readonly number[]
  takenOut: readonly number[]
  /** What stands as high as the drawing: one scale for all feet of a board. */
  tallest: number
  rise?: number | null
  before?: number | null
  /** Colour of the foot's sole. */
  sole?: string
}>()
const BASE = 74
const scale = computed(() => 66 / props.tallest)
const leaves = computed(() => drawLeaves(props.pack, props, scale.value, BASE))
/** The foot stands on what lies there now, not on what is to go in. */
const top = computed(() => Math.min(BASE, ...leaves.value.filter((l) => l.kind !== 'in').map((l) => l.y)))
const lineAt = (rise: number | null | undefined) =>
  rise === null || rise === undefined ? null : Math.max(2, top.value - rise * scale.value)
const now = computed(() => lineAt(props.rise))
const was = computed(() => lineAt(props.before))
</script>

<template>
  <svg viewBox="0 0 96 80" preserveAspectRatio="none" aria-hidden="true">
    <path d="M2 76h92" class="base" />
    <rect
      v-for="(leaf, i) in leaves"
      :key="i"
      x="12"
      :y="leaf.y"
      width="72"
      :height="leaf.height"
      :class="`leaf-${leaf.kind}`"
    />
    <path v-if="was !== null" :d="`M10 ${was}h76`" class="ghost" />
    <path v-if="now !== null" :d="`M8 ${now}h80`" class="sole" :stroke="sole ?? '#fff'" />
  </svg>
</template>

<style scoped>
.base {
  stroke: var(--scribe-dim);
  stroke-width: 2;
}
.leaf-stays {
  fill: #a3aee0;
}
.leaf-in {
  fill: var(--brass-on-dye);
}
.leaf-out {
  fill: none;
  stroke: var(--brass-on-dye);
  stroke-dasharray: 4 3;
}
.ghost {
  fill: none;
  stroke: var(--scribe-dim);
  stroke-dasharray: 4 3;
}
.sole {
  stroke-width: 2.5;
  fill: none;
}
</style>
