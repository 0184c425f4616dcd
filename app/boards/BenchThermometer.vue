<script setup lang="ts">
import type { UnitSystem } from '~~/core/units/unitSystem'

/** A thermometer stuck to a foot: a column against a scale, read by eye. */
const props = defineProps<{
  /** Degrees Celsius. */
  value: number
  units: UnitSystem
  label: string
}>()
const SCALES = {
  metric: { from: 0, to: 60, line: 1, numbered: 10 },
  inch: { from: 30, to: 140, line: 2, numbered: 10 },
} as const
const scale = computed(() => SCALES[props.units])
const own = computed(() => (props.units === 'inch' ? (props.value * 9) / 5 + 32 : props.value))
const W = 300
const at = (t: number) => ((t - scale.value.from) / (scale.value.to - scale.value.from)) * W
const lines = computed(() => {
  const { from, to, line, numbered } = scale.value
  return Array.from({ length: (to - from) / line + 1 }, (_, i) => {
    const t = from + i * line
    return { x: at(t), size: t % numbered === 0 ? 9 : 5, text: t % (2 * numbered) === 0 ? String(t) : '' }
  })
})
</script>

<template>
  <svg :viewBox="`-14 0 ${W + 28} 44`" role="img" :aria-label="label">
    <path :d="`M0 4H${W}v8H0z`" fill="#15183F" stroke="#DCE3FF" stroke-width="1.2" />
    <path :d="`M0 5H${at(own)}v6H0z`" fill="#E0B04A" />
    <ScaleLines :lines="lines" :from="14" :numbers="38" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-width: 340px;
}
</style>
