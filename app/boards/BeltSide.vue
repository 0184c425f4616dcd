<script setup lang="ts">
import { layBeltSide } from '~~/shared/stages/tension/drawing'
import { drawingsWords, tensionWords } from '~~/shared/wording/en'
import type { Words } from '~~/shared/wording/words'

/** The drive from the side to scale: the strand that is pushed, and the gauge on it. Millimetres in. */
const props = defineProps<{
  diameters: { readonly motor: number; readonly driven: number }
  centre: number
  deflection: number
  /** What the gauge shows, and what is done with it; no gauge where it is empty. */
  figure: string
  what: string
  names: { readonly motor: string; readonly driven: string }
  /** Where the belt is only tapped or read, it isn't pushed. */
  pushed: boolean
  words: Words
}>()
const W = 660
const H = 176
const side = computed(() =>
  layBeltSide(props.diameters, props.centre, props.deflection, { width: W, height: H }),
)
const at = computed(() => (props.pushed ? side.value.pushed.down : side.value.pushed.middle))
/** The words stand where the strand falls away from them. */
const besideGauge = computed(() =>
  side.value.driven.r > side.value.motor.r
    ? ({ x: -20, anchor: 'end', other: { x: 20, anchor: 'start' } } as const)
    : ({ x: 20, anchor: 'start', other: { x: -20, anchor: 'end' } } as const),
)
/** Where the gauge meets the line from which the deflection counts: its lower ring is level with that. */
const line = computed(() => {
  const { from, to } = side.value.pushed
  const slope = (to[1] - from[1]) / (to[0] - from[0])
  return from[1] + slope * (at.value[0] - from[0]) - at.value[1]
})
const w = computed(() => tensionWords(props.words).view.gauge)
/** Room for the gauge over the strand, where there is one. */
const above = computed(() => (props.figure === '' ? 14 : 66))
const label = computed(() => drawingsWords(props.words).beltSide)
</script>

<template>
  <svg :viewBox="`-14 ${-above} ${W + 28} ${H + above + 34}`" role="img" :aria-label="label">
    <g fill="none" stroke="#DCE3FF">
      <template v-for="s in [side.motor, side.driven]" :key="s.x">
        <circle :cx="s.x" :cy="s.y" :r="s.r" stroke-width="2" />
        <circle :cx="s.x" :cy="s.y" :r="s.r * 0.86" stroke="#8F9AD6" />
        <circle :cx="s.x" :cy="s.y" r="6" />
      </template>
    </g>
    <path
      :d="`M${side.pushed.from.join(' ')}L${side.pushed.to.join(' ')}`"
      stroke="#8F9AD6"
      stroke-dasharray="6 4"
    />
    <path
      :d="`M${side.pushed.from.join(' ')}L${at.join(' ')}L${side.pushed.to.join(' ')}M${side.other.from.join(' ')}L${side.other.to.join(' ')}`"
      fill="none"
      stroke="#FFFFFF"
      stroke-width="3"
    />
    <g v-if="figure" :transform="`translate(${at[0]} ${at[1]})`">
      <path d="M0 0V-62" stroke="#E0B04A" stroke-width="5" />
      <rect x="-9" y="-96" width="18" height="36" rx="3" fill="#15183F" stroke="#E0B04A" stroke-width="2" />
      <template v-if="pushed">
        <ellipse fill="none" stroke="#FFFFFF" stroke-width="2.5" cx="0" cy="-58" rx="11" ry="3.5" />
        <ellipse fill="none" stroke="#FFFFFF" stroke-width="2.5" cx="0" :cy="line" rx="10" ry="3.5" />
        <g :text-anchor="besideGauge.other.anchor" font-size="14" fill="#A3AEE0">
          <text :x="besideGauge.other.x" y="-82">{{ w.forceRing }}</text>
          <text :x="besideGauge.other.x" y="-63">{{ w.spanRing }}</text>
        </g>
        <path d="M0 4V12" stroke="#A3AEE0" stroke-width="2" />
        <text x="0" y="28" font-size="14" fill="#A3AEE0" text-anchor="middle">{{ w.mid }}</text>
      </template>
      <g :text-anchor="besideGauge.anchor">
        <text class="figure" :x="besideGauge.x" y="-76" font-size="23" fill="#E0B04A">{{ figure }}</text>
        <text :x="besideGauge.x" y="-55" font-size="16" fill="#A3AEE0">{{ what }}</text>
      </g>
    </g>
    <g font-size="16" fill="#A3AEE0" text-anchor="middle">
      <text :x="side.motor.x" :y="side.motor.y + side.motor.r + 22">{{ names.motor }}</text>
      <text :x="side.driven.x" :y="side.driven.y + side.driven.r + 22">{{ names.driven }}</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-height: 224px;
  flex-shrink: 0;
}
</style>
