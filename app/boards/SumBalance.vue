<script setup lang="ts">
import { drawingsWords, measuringWords } from '~~/shared/wording/en'
import { figure } from '~~/shared/wording/figures'
import type { UnitSystem } from '~~/core/units/unitSystem'

/** Top + bottom against left + right, as a balance: it hangs level when the readings add up. Millimetres. */
const props = defineProps<{
  name: string
  topBottom: number | null
  leftRight: number | null
  limit: number | null
  agrees: boolean | null
  units: UnitSystem
}>()
const words = useWords()
const hush = useHush()
const w = measuringWords(words).view
const drawings = drawingsWords(words)
const d = (x: number | null) => (x === null ? '' : figure(x, 'displacement', props.units, { sign: true }))
const apart = computed(() =>
  props.topBottom === null || props.leftRight === null ? null : Math.abs(props.topBottom - props.leftRight),
)
const tilt = computed(() => {
  if (props.topBottom === null || props.leftRight === null || !props.limit) return 0
  return Math.max(-9, Math.min(9, ((props.leftRight - props.topBottom) / props.limit) * 3.2))
})
const tone = computed(() =>
  apart.value === null || props.agrees === null ? '#A3AEE0' : props.agrees ? '#58D3BE' : '#FF8FA3',
)
const told = computed(() => {
  if (apart.value === null) return w.sumWaits
  const shown = figure(apart.value, 'displacement', props.units)
  if (props.agrees) return apart.value < 1e-9 ? w.balances : w.balancesWithin(shown)
  return w.apart(shown, figure(props.limit, 'displacement', props.units))
})
</script>

<template>
  <svg v-if="!hush" viewBox="0 0 340 100" class="balance" role="img" :aria-label="w.balanceTold(name, told)">
    <g class="beam" :style="{ transform: `rotate(${tilt}deg)` }">
      <path d="M58 42H282" :stroke="tone" stroke-width="3" />
      <g class="figure" font-size="17" fill="#FFFFFF" text-anchor="middle">
        <text x="62" y="29">{{ d(topBottom) }}</text>
        <text x="278" y="29">{{ d(leftRight) }}</text>
      </g>
    </g>
    <path d="M170 44l10 17h-20z" :fill="tone" />
    <g font-size="14" fill="#A3AEE0" text-anchor="middle">
      <text x="62" y="74">{{ drawings.topAndBottom }}</text>
      <text x="278" y="74">{{ drawings.leftAndRight }}</text>
    </g>
    <text x="170" y="92" font-size="15" text-anchor="middle" :fill="tone">{{ told }}</text>
  </svg>
</template>

<style scoped>
.balance {
  width: 100%;
  max-width: 320px;
  justify-self: center;
}
.beam {
  transform-origin: 170px 44px;
  transition: transform 120ms ease-out;
}
</style>
