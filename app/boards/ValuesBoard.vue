<script setup lang="ts">
import { drawingsWords } from '~~/shared/wording/en'
import type { FootPlane } from '~~/core/coupling/feet'
import { PLANES, type Misalignment, type Plane } from '~~/core/frame/planes'
import type { SettledTolerance } from '~~/core/judge/tolerance'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { capital } from '~~/shared/wording/capital'
import { fittingExaggeration, layOutShafts } from '~~/shared/drawing/shaftLines'

/** Values that an instrument worked out, typed where they belong on the drawn shafts; the line follows. */
const props = defineProps<{
  /** A plain one is a figure without a unit of its own to type, as an angle is. */
  circles: readonly { readonly id: string; readonly name: string; readonly plain?: boolean }[]
  /** Where each value belongs along the shafts, millimetres; an angle stands at the far end. */
  places: Readonly<Record<string, number>>
  texts: Readonly<Record<string, Readonly<Record<string, string>>>>
  units: UnitSystem
  ghost: Readonly<Record<string, Readonly<Record<string, string>>>>
  notes: Readonly<Record<string, Readonly<Record<string, string>>>>
  feet: readonly FootPlane[]
  tolerance: SettledTolerance
  line: Misalignment | null
  planeName: (clock: number) => string
  /** Nothing is judged here: no gate is drawn. */
  gateless?: boolean
}>()
const emit = defineEmits<{
  'update:text': [circle: string, clock: number, text: string]
  enter: [circle: string, clock: number]
  step: [circle: string, clock: number, by: 1 | -1]
}>()
const words = useWords()
const w = drawingsWords(words)
const W = 340
const H = 190
/** Values of a plane are kept at 12 for the vertical, at 3 for the horizontal. */
const CLOCK: Readonly<Record<Plane, number>> = { v: 0, h: 90 }
const STRAIGHT: Misalignment = { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } }
const whole = computed<Misalignment>(() => {
  const known = (x: number | null | undefined) => x ?? 0
  const { offset, slope } = props.line ?? STRAIGHT
  return {
    offset: { v: known(offset.v), h: known(offset.h) },
    slope: { v: known(slope.v), h: known(slope.h) },
  }
})
const drawn = computed(() => {
  const sheet = { feet: props.feet, tolerance: props.tolerance, width: W, height: H }
  const exaggeration = fittingExaggeration({ ...sheet, lines: [whole.value], planes: PLANES })
  return PLANES.map((plane) => {
    const laid = layOutShafts({ ...sheet, plane, line: whole.value, exaggeration })
    const { x1, y1, x2, y2 } = laid.movable
    const last = laid.feet.at(-1)
    const far = Math.max(1, ...props.feet.map((f) => f.x))
    const scale = last ? (last.x - laid.coupling) / far : 0
    const spots = props.circles.map((c) => {
      const x = laid.coupling + (props.places[c.id] ?? 0) * scale
      return { ...c, x, y: y1 + ((y2 - y1) * (x - x1)) / (x2 - x1 || 1) }
    })
    return { plane, clock: CLOCK[plane], laid, spots }
  })
})
const boxes = new Map<string, { focus: () => void }>()
const keep = (key: string) => (el: unknown) => {
  if (el) boxes.set(key, el as { focus: () => void })
  else boxes.delete(key)
}
defineExpose({ focus: (circle: string, clock: number) => boxes.get(`${circle}@${clock}`)?.focus() })
const note = (circle: string, clock: number) => {
  const was = props.ghost[circle]?.[String(clock)]
  return props.notes[circle]?.[String(clock)] ?? (was ? w.before(was) : '')
}
</script>

<template>
  <div class="pair">
    <figure v-for="v in drawn" :key="v.plane">
      <figcaption>
        <strong>{{ capital(planeName(v.clock)) }}</strong>
        <span>{{ w.overlaid[v.plane] }}, {{ w.exaggerated(v.laid.exaggeration) }}</span>
      </figcaption>
      <svg :viewBox="`0 0 ${W} ${H}`" aria-hidden="true">
        <ShaftGround :laid="v.laid" :width="W" :gateless="gateless" />
        <path
          v-for="s in v.spots"
          :key="s.id"
          :d="`M${s.x} ${s.y}V${H}`"
          stroke="#E0B04A"
          stroke-width="1.4"
        />
        <path
          :d="`M${v.laid.movable.x1} ${v.laid.movable.y1}L${v.laid.movable.x2} ${v.laid.movable.y2}`"
          stroke="#FFFFFF"
          stroke-width="2.6"
        />
        <circle v-for="f in v.laid.feet" :key="f.id" :cx="f.x" :cy="f.y" r="4" fill="#FFFFFF" />
        <circle v-for="s in v.spots" :key="s.id" :cx="s.x" :cy="s.y" r="5" fill="#E0B04A" />
      </svg>
      <div class="boxes">
        <NumberBox
          v-for="c in circles"
          :key="c.id"
          :ref="keep(`${c.id}@${v.clock}`)"
          :model-value="texts[c.id]?.[String(v.clock)] ?? ''"
          :label="w.valueIn(c.name, planeName(v.clock))"
          :measure="c.plain ? 'plain' : 'displacement'"
          :units="units"
          signed
          on-dye
          big
          :note="note(c.id, v.clock)"
          @update:model-value="emit('update:text', c.id, v.clock, $event)"
          @enter="emit('enter', c.id, v.clock)"
          @step="emit('step', c.id, v.clock, $event)"
        />
      </div>
    </figure>
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
  margin-top: 8px;
}
figure {
  margin: 0;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 12px;
  color: #fff;
}
figcaption span {
  flex-basis: 100%;
  color: var(--scribe-dim);
  font-size: 14px;
}
svg {
  display: block;
  width: 100%;
}
.boxes {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
  align-items: end;
}
@media (max-width: 640px) {
  .pair {
    grid-template-columns: 1fr;
  }
}
</style>
