<script setup lang="ts">
import type { BaseKind } from '~~/core/register/beltMachine'
import { drawingsWords } from '~~/shared/wording/en'
import type { Words } from '~~/shared/wording/words'

/**
 * The motor from above with the edge it is measured from, its two distances as boxes where they are taped. Its
 * turn is drawn larger than it is; radians, positive with the far end further from the driven shaft.
 */
const props = defineProps<{
  edge: 'driven-side' | 'far-side'
  turn: number
  base: BaseKind
  words: Words
}>()
const w = computed(() => drawingsWords(props.words))
/** Drawn twelve times what it is, and never so far that the motor leaves its base. */
const drawn = computed(() => Math.max(-9, Math.min(9, (props.turn * 12 * 180) / Math.PI)))
const edgeX = computed(() => (props.edge === 'far-side' ? 128 : 392))
const tapeTo = computed(() => (props.edge === 'far-side' ? 196 : 324))
</script>

<template>
  <div class="square">
    <svg viewBox="0 0 520 300" role="img" :aria-label="w.motorAbove">
      <rect x="112" y="64" width="296" height="220" rx="3" fill="none" stroke="#8F9AD6" />
      <rect :x="edgeX - 6" y="70" width="12" height="208" fill="#3A409A" stroke="#DCE3FF" />
      <g :transform="`rotate(${-drawn} 260 100)`">
        <path d="M247 84V56h26v28" fill="#2A2F6E" stroke="#DCE3FF" stroke-width="1.6" />
        <rect x="206" y="34" width="108" height="24" fill="#2A2F6E" stroke="#DCE3FF" stroke-width="1.6" />
        <rect
          x="196"
          y="84"
          width="128"
          height="180"
          rx="6"
          fill="#2A2F6E"
          stroke="#DCE3FF"
          stroke-width="1.6"
        />
        <text x="260" y="180" text-anchor="middle">{{ w.motor }}</text>
      </g>
      <g v-for="y in [104, 244]" :key="y" stroke="#E0B04A" stroke-width="2">
        <path :d="`M${edgeX} ${y}H${tapeTo}`" stroke-dasharray="5 4" />
        <path :d="`M${tapeTo} ${y - 7}v14`" />
      </g>
      <text x="508" y="180" text-anchor="end">{{ w.toward(w.driven) }}</text>
    </svg>
    <div class="boxes">
      <slot name="sheaveEnd" />
      <slot name="farEnd" />
    </div>
  </div>
</template>

<style scoped>
.square {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 168px;
  gap: 18px;
  align-items: stretch;
}
svg {
  display: block;
  width: 100%;
  max-height: 330px;
}
text {
  font-size: 15px;
  fill: #dce3ff;
}
.boxes {
  display: flex;
  flex-direction: column;
  justify-content: space-around;
  padding: 40px 0 8px;
}
@media (max-width: 640px) {
  .square {
    grid-template-columns: 1fr;
  }
  .boxes {
    flex-direction: row;
    gap: 14px;
    padding: 0;
  }
}
</style>
