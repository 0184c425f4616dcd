<script setup lang="ts">
/** A belt gauge: a needle over a scale of force or of frequency, read by eye. */
const props = defineProps<{
  /** In the unit of its scale; null while it is on no belt. */
  value: number | null
  /** The most it is made for. */
  most: number
  unit: string
  label: string
}>()
const NICE = [10, 20, 25, 40, 50, 80, 100, 120, 160, 200, 250, 400, 500, 1000]
/** The scale goes to the next whole number of its own unit. */
const scale = computed(() => NICE.find((n) => n >= props.most) ?? Math.ceil(props.most / 1000) * 1000)
const SWEEP = 240
const angleOf = (own: number) => -SWEEP / 2 + (Math.min(own, scale.value * 1.04) / scale.value) * SWEEP
const LINES = 50
const ticks = computed(() =>
  Array.from({ length: LINES + 1 }, (_, i) => ({
    at: angleOf((i / LINES) * scale.value),
    size: i % 10 === 0 ? 13 : i % 5 === 0 ? 9 : 5,
  })),
)
const marks = computed(() =>
  Array.from({ length: 6 }, (_, i) => {
    const a = (angleOf((i / 5) * scale.value) * Math.PI) / 180
    return { text: String((i / 5) * scale.value), x: 90 + 56 * Math.sin(a), y: 95 - 56 * Math.cos(a) }
  }),
)
const angle = computed(() => angleOf(props.value ?? 0))
</script>

<template>
  <svg viewBox="0 0 180 180" role="img" :aria-label="label">
    <circle cx="90" cy="90" r="86" fill="#15183F" stroke="#DCE3FF" stroke-width="2" />
    <path
      v-for="t in ticks"
      :key="t.at"
      :d="`M90 8v${t.size}`"
      :transform="`rotate(${t.at} 90 90)`"
      stroke="#A3AEE0"
      :stroke-width="t.size > 8 ? 2 : 1"
    />
    <text
      v-for="m in marks"
      :key="m.text"
      class="figure"
      :x="m.x"
      :y="m.y"
      font-size="14"
      fill="#C3CBF2"
      text-anchor="middle"
    >
      {{ m.text }}
    </text>
    <text x="90" y="138" font-size="15" fill="#A3AEE0" text-anchor="middle">
      {{ unit }}
    </text>
    <path
      class="needle"
      d="M90 106V14"
      stroke="#FFFFFF"
      stroke-width="2.5"
      stroke-linecap="round"
      :style="{ transform: `rotate(${angle}deg)` }"
    />
    <circle cx="90" cy="90" r="6" fill="#FFFFFF" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}
.needle {
  transform-origin: 90px 90px;
  transition: transform 160ms ease-out;
}
@media (prefers-reduced-motion: reduce) {
  .needle {
    transition: none;
  }
}
</style>
