<script setup lang="ts">
import { softFootWords } from '~~/shared/wording/en'
import type { StepShim } from '~~/core/feet/stepShim'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { figure, thickness, UNIT_NAMES } from '~~/shared/wording/figures'

/** Stepped leaves in section: each with its thickness and how far it goes in from the open edge. */
const props = defineProps<{ recipe: StepShim; units: UnitSystem }>()
const words = useWords()
const w = softFootWords(words)
const deepest = computed(() => Math.max(...props.recipe.leaves.map((l) => l.depth)))
const highest = computed(() => props.recipe.leaves.reduce((s, l) => s + l.thickness, 0))
const drawn = computed(() => {
  let y = 60
  return props.recipe.leaves.map((l) => {
    const h = (l.thickness / highest.value) * 52
    y -= h
    return { ...l, y, h, width: (l.depth / deepest.value) * 196 }
  })
})
const said = (l: StepShim['leaves'][number]) =>
  w.cure.step(
    `${thickness(l.thickness, props.units)} ${UNIT_NAMES[props.units].displacement}`,
    figure(l.depth, 'distance', props.units, { unit: true }),
  )
</script>

<template>
  <div class="steps">
    <svg viewBox="0 0 200 64" aria-hidden="true">
      <rect v-for="(l, i) in drawn" :key="i" x="2" :y="l.y" :width="l.width" :height="Math.max(1, l.h - 1)" />
      <path d="M0 62h200" />
    </svg>
    <ol>
      <li v-for="(l, i) in recipe.leaves" :key="i" class="figure">{{ said(l) }}</li>
    </ol>
  </div>
</template>

<style scoped>
svg {
  width: 100%;
  max-height: 90px;
  background: var(--dye);
  border-radius: 3px;
}
rect {
  fill: var(--brass-on-dye);
}
path {
  stroke: var(--scribe);
  stroke-width: 2;
}
ol {
  margin: 6px 0 0;
  padding-left: 22px;
  font-size: 15px;
}
</style>
