<script setup lang="ts">
import { figure } from '~~/shared/wording/figures'

/** Top + bottom against left + right, as a balance: it hangs level when the readings add up. */
const props = defineProps<{
  dial: string
  topBottom: number | null
  leftRight: number | null
  limit: number | null
  agrees: boolean | null
}>()
const session = useSession()
const d = (x: number | null) => (x === null ? '' : figure(x, 'displacement', session.units, { sign: true }))
const known = computed(() => props.topBottom !== null && props.leftRight !== null)
const apart = computed(() =>
  known.value ? Math.abs((props.topBottom as number) - (props.leftRight as number)) : 0,
)
const tilt = computed(() => {
  if (!known.value || !props.limit) return 0
  const share = ((props.leftRight as number) - (props.topBottom as number)) / props.limit
  return Math.max(-9, Math.min(9, share * 3.2))
})
const tone = computed(() =>
  !known.value || props.agrees === null ? '#8F9AD6' : props.agrees ? '#58D3BE' : '#FF8FA3',
)
const words = computed(() => {
  if (!known.value) return 'sum check waits for four readings'
  if (props.agrees)
    return apart.value < 1e-9
      ? 'balances'
      : `balances within ${figure(apart.value, 'displacement', session.units)}`
  return `${figure(apart.value, 'displacement', session.units)} apart, limit ${figure(props.limit, 'displacement', session.units)}`
})
</script>

<template>
  <svg viewBox="0 0 340 112" class="balance" role="img" :aria-label="`${dial}: ${words}`">
    <g class="beam" :style="{ transform: `rotate(${tilt}deg)` }">
      <path d="M58 50H282" :stroke="tone" stroke-width="3" />
      <g class="figure" font-size="17" fill="#FFFFFF" text-anchor="middle">
        <text x="62" y="36">{{ d(topBottom) }}</text>
        <text x="278" y="36">{{ d(leftRight) }}</text>
      </g>
    </g>
    <path d="M170 52l10 17h-20z" :fill="tone" />
    <g font-size="14" fill="#A3AEE0" text-anchor="middle">
      <text x="62" y="84">12 + 6</text>
      <text x="278" y="84">3 + 9</text>
    </g>
    <text x="170" y="102" font-size="15" text-anchor="middle" :fill="tone">{{ words }}</text>
  </svg>
</template>

<style scoped>
.balance {
  width: 100%;
  max-width: 340px;
  justify-self: center;
}
.beam {
  transform-origin: 170px 52px;
  transition: transform 120ms ease-out;
}
</style>
