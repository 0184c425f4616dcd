<script setup lang="ts">
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'
import type { UnitSystem } from '~~/core/units/unitSystem'

/** A dial on the bench: a needle over a hundred lines, and no digits. One turn is 1 mm, or 50 mil. */
const props = defineProps<{
  name: string
  /** Since it was zeroed, millimetres; what it shows, its own way of counting included. */
  value: number
  units: UnitSystem
}>()
const { ways, dialNamed } = practiceBenchWords(useWords()).bench
const LINES = 100
const perLine = computed(() => (props.units === 'inch' ? 0.0127 : 0.01))
const lines = computed(() => props.value / perLine.value)
const angle = computed(() => (lines.value / LINES) * 360)
/** Whole turns of the needle, on the small scale. */
const turnsAngle = computed(() => (lines.value / LINES) * 36)
const ticks = Array.from({ length: LINES }, (_, i) => ({
  at: i * 3.6,
  size: i % 10 === 0 ? 12 : i % 5 === 0 ? 8 : 5,
}))
/** Balanced: it counts up both ways from zero. */
const marks = computed(() =>
  Array.from({ length: 10 }, (_, i) => {
    const counted = i <= 5 ? i * 10 : (10 - i) * 10
    const a = (i * 36 * Math.PI) / 180
    return {
      text: String(props.units === 'inch' ? counted / 2 : counted),
      x: 90 + 58 * Math.sin(a),
      y: 94.5 - 58 * Math.cos(a),
    }
  }),
)
</script>

<template>
  <svg viewBox="0 0 180 180" class="dial" role="img" :aria-label="dialNamed(name)">
    <circle cx="90" cy="90" r="86" fill="#15183F" stroke="#DCE3FF" stroke-width="2" />
    <g v-once stroke="#A3AEE0">
      <path
        v-for="t in ticks"
        :key="t.at"
        :d="`M90 7v${t.size}`"
        :transform="`rotate(${t.at} 90 90)`"
        :stroke-width="t.size > 8 ? 2 : 1"
      />
    </g>
    <g class="figure" font-size="13" fill="#C3CBF2" text-anchor="middle">
      <text v-for="(m, i) in marks" :key="i" :x="m.x" :y="m.y">{{ m.text }}</text>
    </g>
    <text x="60" y="74" font-size="16" fill="#A3AEE0" text-anchor="middle" class="figure">{{ ways[0] }}</text>
    <text x="120" y="74" font-size="16" fill="#A3AEE0" text-anchor="middle" class="figure">
      {{ ways[1] }}
    </text>
    <g>
      <circle cx="90" cy="124" r="15" fill="none" stroke="#4A52A0" stroke-width="1.5" />
      <path d="M90 124V112" stroke="#DCE3FF" stroke-width="2" :transform="`rotate(${turnsAngle} 90 124)`" />
    </g>
    <g class="needle" :style="{ transform: `rotate(${angle}deg)` }">
      <path d="M90 108V12" stroke="#FFFFFF" stroke-width="2.5" stroke-linecap="round" />
    </g>
    <circle cx="90" cy="90" r="6" fill="#FFFFFF" />
  </svg>
</template>

<style scoped>
.dial {
  display: block;
  width: 100%;
}
.needle {
  transform-origin: 90px 90px;
  transition: transform 90ms ease-out;
}
@media (prefers-reduced-motion: reduce) {
  .needle {
    transition: none;
  }
}
</style>
