<script setup lang="ts">
import { toCore, type UnitSystem } from '~~/core/units/unitSystem'

/** A rule laid along something: lines and a mark where it ends, read by eye. */
const props = defineProps<{
  /** Millimetres. */
  value: number
  units: UnitSystem
  label: string
}>()
const W = 300
/** One line, lines to the next longer one and to the next number, and how much of it is seen; in own units. */
const RULES = {
  metric: { line: 0.5, longer: 2, numbered: 20, seen: 30 },
  inch: { line: 0.02, longer: 5, numbered: 25, seen: 1.25 },
} as const
const rule = computed(() => RULES[props.units])
const own = computed(() => props.value / toCore(1, 'distance', props.units))
/** It is shifted by whole numbers only, so that the mark goes along it. */
const start = computed(() => {
  const whole = rule.value.line * rule.value.numbered
  return Math.max(0, Math.floor((own.value - rule.value.seen / 2) / whole) * whole)
})
const px = computed(() => W / rule.value.seen)
const lines = computed(() =>
  Array.from({ length: Math.round(rule.value.seen / rule.value.line) + 1 }, (_, i) => {
    const nth = Math.round(start.value / rule.value.line) + i
    return {
      x: i * rule.value.line * px.value,
      size: nth % rule.value.numbered === 0 ? 16 : nth % rule.value.longer === 0 ? 11 : 6,
      text: nth % rule.value.numbered === 0 ? String(Math.round(nth * rule.value.line * 100) / 100) : '',
    }
  }),
)
const at = computed(() => (own.value - start.value) * px.value)
</script>

<template>
  <svg :viewBox="`-14 0 ${W + 28} 58`" role="img" :aria-label="label">
    <path :d="`M0 14H${W}V44H0z`" fill="#15183F" stroke="#DCE3FF" stroke-width="1.5" />
    <ScaleLines :lines="lines" :from="14" :numbers="42" />
    <path :d="`M${at} 58V8`" stroke="#E0B04A" stroke-width="2" />
    <path :d="`M${at} 10l-6 -9h12z`" fill="#E0B04A" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-width: 420px;
}
</style>
