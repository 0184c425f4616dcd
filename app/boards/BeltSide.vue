<script setup lang="ts">
import { layBeltSide } from '~~/shared/stages/tension/drawing'
import { drawingsWords } from '~~/shared/wording/en'
import type { Words } from '~~/shared/wording/words'

/** The drive from the side to scale: the strand that is pushed, and the gauge on it. Millimetres in. */
const props = defineProps<{
  diameters: { readonly motor: number; readonly driven: number }
  centre: number
  deflection: number
  /** What the gauge shows, and what is done with it. */
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
const label = computed(() => drawingsWords(props.words).beltSide)
</script>

<template>
  <svg :viewBox="`-14 -66 ${W + 28} ${H + 100}`" role="img" :aria-label="label">
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
    <g :transform="`translate(${at[0]} ${at[1]})`">
      <path d="M0 0V-62" stroke="#E0B04A" stroke-width="5" />
      <rect x="-9" y="-96" width="18" height="36" rx="3" fill="#15183F" stroke="#E0B04A" stroke-width="2" />
      <path d="M-9 -72H9" stroke="#E0B04A" stroke-width="2" />
      <text class="figure" x="20" y="-76" font-size="23" fill="#E0B04A">{{ figure }}</text>
      <text x="20" y="-55" font-size="16" fill="#A3AEE0">{{ what }}</text>
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
