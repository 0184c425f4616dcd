<script setup lang="ts">
import { closingWords } from '~~/shared/wording/en'
import { GLASS, type Strokes } from '~~/core/stages/close/glass'
import { beginStroke, leadStroke, signaturePath } from '~~/shared/drawing/signature'

/** The glass a customer signs on with a finger, a pen or a mouse. */
const strokes = defineModel<Strokes>({ required: true })
const words = useWords()
const closing = closingWords(words)
const glass = useTemplateRef<SVGSVGElement>('glass')
/** The finger that draws; a hand that rests on the glass beside it draws nothing. */
let drawing: number | null = null

const at = (e: PointerEvent): [number, number] => {
  const box = glass.value!.getBoundingClientRect()
  return [
    ((e.clientX - box.left) / box.width) * GLASS.width,
    ((e.clientY - box.top) / box.height) * GLASS.height,
  ]
}
const begin = (e: PointerEvent) => {
  if (drawing !== null || e.button !== 0) return
  drawing = e.pointerId
  glass.value?.setPointerCapture(e.pointerId)
  strokes.value = beginStroke(strokes.value, ...at(e))
}
const lead = (e: PointerEvent) => {
  if (e.pointerId !== drawing) return
  // A fast hand: what lay between two frames is taken too.
  const between = e.getCoalescedEvents?.() ?? []
  strokes.value = (between.length > 0 ? between : [e]).reduce<Strokes>(
    (drawn, p) => leadStroke(drawn, ...at(p)),
    strokes.value,
  )
}
const end = (e: PointerEvent) => {
  if (e.pointerId === drawing) drawing = null
}
</script>

<template>
  <svg
    ref="glass"
    class="glass"
    role="img"
    :aria-label="strokes.length > 0 ? closing.customer.drawn : closing.customer.empty"
    :viewBox="`0 0 ${GLASS.width} ${GLASS.height}`"
    @pointerdown.prevent="begin"
    @pointermove="lead"
    @pointerup="end"
    @pointercancel="end"
  >
    <line x1="60" y1="235" x2="940" y2="235" class="rule" />
    <path :d="signaturePath(strokes)" class="ink" />
  </svg>
</template>

<style scoped>
.glass {
  display: block;
  width: 100%;
  aspect-ratio: 10 / 3;
  border: 1px solid var(--hairline);
  border-radius: 4px;
  background: var(--sunk);
  touch-action: none;
  cursor: crosshair;
}
.rule {
  stroke: var(--hairline);
  stroke-width: 2;
}
.ink {
  fill: none;
  stroke: var(--ink);
  stroke-width: 6;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
