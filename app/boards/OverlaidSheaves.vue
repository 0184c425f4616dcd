<script setup lang="ts">
import type { SheaveErrors } from '~~/core/belt/sheaveLine'
import { practiceReviewWords } from '~~/shared/wording/en/practiceReview'

/** The motor's groove line over the driven one's from above, as it really lay and as the gaps told it; and its tilt from the side. */
const props = defineProps<{
  truth: SheaveErrors
  told: SheaveErrors | null
  radius: number
  names: { readonly motor: string; readonly driven: string }
}>()
const w = practiceReviewWords(useWords()).review
const W = 420
const H = 200
const MID = 92
const [LEFT, RIGHT] = [74, W - 64]
/** One exaggeration for both lines: the furthest of them fills the sheet. */
const across = computed(() => {
  const lines = [props.truth, ...(props.told ? [props.told] : [])]
  const most = Math.max(
    0.5,
    ...lines.map((l) => Math.abs(l.offset) + props.radius * Math.abs(Math.sin(l.turn))),
  )
  return 66 / most
})
/** From the faces turned away from the motor: away from them is down. */
const lineOf = ({ offset, turn }: SheaveErrors) => {
  const y = MID + offset * across.value
  const rise = props.radius * Math.sin(turn) * across.value
  return `M${LEFT - 46} ${y + rise}L${LEFT + 46} ${y - rise}`
}
const lean = ({ tilt }: SheaveErrors) => `rotate(${-((tilt ?? 0) * 180 * 12) / Math.PI} 48 100)`
</script>

<template>
  <div class="pair">
    <svg :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="w.grooves">
      <path :d="`M${RIGHT - 52} ${MID - 26}h104v52h-104z`" fill="#2A2F6E" stroke="#6670BE" />
      <path :d="`M14 ${MID}H${W - 8}`" stroke="#8F9AD6" stroke-dasharray="6 5" />
      <path v-if="told" :d="lineOf(told)" stroke="#E0B04A" stroke-width="3" stroke-dasharray="7 5" />
      <path :d="lineOf(truth)" stroke="#FFFFFF" stroke-width="4" />
      <text :x="RIGHT" :y="MID + 46" fill="#A3AEE0" font-size="14" text-anchor="middle">
        {{ names.driven }}
      </text>
      <text :x="LEFT" :y="H - 8" fill="#A3AEE0" font-size="14" text-anchor="middle">{{ names.motor }}</text>
      <text x="8" y="14" fill="#FFFFFF" font-size="14">{{ w.grooves }}</text>
      <text v-if="told" x="8" y="32" fill="#E0B04A" font-size="14">{{ w.gaps }}</text>
    </svg>
    <svg viewBox="0 0 96 200" role="img" :aria-label="w.quantities.tilt">
      <path d="M48 30V170" stroke="#8F9AD6" stroke-dasharray="6 5" />
      <g v-if="told && told.tilt !== null" :transform="lean(told)">
        <path d="M42 36h12v128H42z" fill="none" stroke="#E0B04A" stroke-width="2" stroke-dasharray="7 5" />
      </g>
      <g :transform="lean(truth)">
        <path d="M42 36h12v128H42z" fill="#2A2F6E" stroke="#FFFFFF" stroke-width="2" />
      </g>
      <text x="48" y="192" fill="#A3AEE0" font-size="14" text-anchor="middle">{{ w.quantities.tilt }}</text>
    </svg>
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: minmax(0, 4.4fr) minmax(0, 1fr);
  gap: 12px;
}
svg {
  display: block;
  width: 100%;
}
</style>
