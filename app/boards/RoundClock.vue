<script setup lang="ts">
import { drawingsWords, measuringWords } from '~~/shared/wording/en'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { ROUND, roomRound, withPosition, type DrawnRound } from '~~/shared/stages/measure/round'
import { seenClock } from '~~/shared/wording/otherEnd'

/** Readings at any positions round the hub: the hours take a position, the box beside each takes what every dial shows there. */
const props = defineProps<{
  positions: readonly number[]
  circles: readonly { readonly id: string; readonly name: string }[]
  texts: Readonly<Record<string, Readonly<Record<string, string>>>>
  units: UnitSystem
  ghost: Readonly<Record<string, Readonly<Record<string, string>>>>
  ringed: Readonly<Record<string, readonly number[]>>
  notes: Readonly<Record<string, Readonly<Record<string, string>>>>
  drawn: readonly DrawnRound[]
  /** Where the dial of a circle stands when the first stands at a position. */
  ownClock: (circle: string, clock: number) => number
  clockName: (clock: number) => string
}>()
const emit = defineEmits<{
  positions: [clocks: number[]]
  'update:text': [circle: string, clock: number, text: string]
  enter: [circle: string, clock: number]
  step: [circle: string, clock: number, by: 1 | -1]
}>()
const words = useWords()
const w = measuringWords(words).view
const drawings = drawingsWords(words)
const from = useOtherEnd() ? 'stationary' : 'movable'
const seen = (clock: number) => seenClock(clock, from)
const middle = ROUND.size / 2

const HOURS = Array.from({ length: 12 }, (_, i) => i * 30)
const at = (clock: number, r: number) => {
  const a = (seen(clock) * Math.PI) / 180
  return { x: middle + r * Math.sin(a), y: middle - r * Math.cos(a) }
}
/** Where a mark's boxes stand, in percent of the board. */
const place = (clock: number) => {
  const a = (seen(clock) * Math.PI) / 180
  return { left: `${50 + 40 * Math.sin(a)}%`, top: `${50 - 41 * Math.cos(a)}%` }
}
/** At 12 and 6 two boxes stand side by side: one over the other they would reach into the hub. */
const across = (clock: number) =>
  props.circles.length === 2 && Math.abs(Math.sin((clock * Math.PI) / 180)) < 0.4
/** An hour that is read is taken out again, but never the start, and never below three. */
const toggle = (clock: number) => {
  const { positions } = props
  if (!positions.includes(clock)) return emit('positions', withPosition(positions, clock))
  if (positions[0] === clock || positions.length <= 3) return
  emit(
    'positions',
    positions.filter((c) => c !== clock),
  )
}
/** One stop of the tab key for all hours; the arrows go round. */
const hourAt = ref(0)
const face = useTemplateRef<SVGElement>('face')
const goRound = (by: 1 | -1) => {
  hourAt.value = (hourAt.value + by * 30 + 360) % 360
  void nextTick(() => face.value?.querySelector<SVGElement>(`[data-hour="${hourAt.value}"]`)?.focus())
}
const hourLabel = (clock: number) =>
  props.positions.includes(clock)
    ? w.removePosition(props.clockName(clock))
    : w.readAlso(props.clockName(clock))
const boxes = new Map<string, { focus: () => void }>()
const keep = (key: string) => (el: unknown) => {
  if (el) boxes.set(key, el as { focus: () => void })
  else boxes.delete(key)
}
defineExpose({ focus: (circle: string, clock: number) => boxes.get(`${circle}@${clock}`)?.focus() })
/** Boxes stand round the hub while they have room there, in rows beside it otherwise. */
const listed = computed(() => !roomRound(props.positions))
const focused = ref<number | null>(null)
const label = (name: string, circle: string, clock: number) => {
  const reading = drawings.readingAt(name, props.clockName(clock))
  return props.ringed[circle]?.includes(clock) ? drawings.misfits(reading) : reading
}
const note = (circle: string, clock: number) => {
  const was = props.ghost[circle]?.[String(clock)]
  return props.notes[circle]?.[String(clock)] ?? (was ? drawings.before(was) : '')
}
</script>

<template>
  <div :class="['round', { listed }]">
    <svg
      ref="face"
      :viewBox="`0 0 ${ROUND.size} ${ROUND.size}`"
      :style="listed ? { gridRow: `1 / span ${positions.length + 2}` } : {}"
      role="group"
      :aria-label="w.hoursRound"
    >
      <circle class="hub" :cx="middle" :cy="middle" :r="ROUND.radius" />
      <template v-for="(d, i) in drawn" :key="d.circle">
        <path v-if="d.path" :class="['curve', { second: i > 0 }]" :d="`${d.path}Z`" />
        <circle
          v-for="p in d.dots"
          :key="p.clock"
          :class="['dot', { second: i > 0 }]"
          :cx="p.x"
          :cy="p.y"
          r="4.5"
        />
      </template>
      <g
        v-for="h in HOURS"
        :key="h"
        role="button"
        :tabindex="h === hourAt ? 0 : -1"
        :data-hour="h"
        class="hour"
        :class="{ read: positions.includes(h) }"
        :aria-label="hourLabel(h)"
        :aria-pressed="positions.includes(h)"
        @click="toggle(h)"
        @focus="hourAt = h"
        @keydown.right.stop.prevent="goRound(1)"
        @keydown.down.stop.prevent="goRound(1)"
        @keydown.left.stop.prevent="goRound(-1)"
        @keydown.up.stop.prevent="goRound(-1)"
        @keydown.enter.stop.prevent="toggle(h)"
        @keydown.space.stop.prevent="toggle(h)"
      >
        <circle class="touch" :cx="at(h, 136).x" :cy="at(h, 136).y" r="24" />
        <circle class="mark" :cx="at(h, 136).x" :cy="at(h, 136).y" r="10" />
        <path
          v-if="!positions.includes(h)"
          class="plus"
          :d="`M${at(h, 136).x - 4} ${at(h, 136).y}h8m-4 -4v8`"
        />
      </g>
      <circle
        v-for="p in positions.filter((c) => c % 30 !== 0)"
        :key="p"
        class="between"
        :cx="at(p, 136).x"
        :cy="at(p, 136).y"
        r="7"
      />
      <path
        v-if="focused !== null"
        class="hand"
        :d="`M${middle} ${middle}L${at(focused, 122).x} ${at(focused, 122).y}`"
      />
      <circle class="shaft" :cx="middle" :cy="middle" r="13" />
    </svg>
    <p class="legend" aria-hidden="true">
      <span v-for="(c, i) in circles" :key="c.id" :class="['boxed', { second: i > 0 }]">{{ c.name }}</span>
    </p>
    <div
      v-for="p in positions"
      :key="p"
      :class="['mark-boxes', { across: across(p) }]"
      :style="place(p)"
      @focusin="focused = p"
    >
      <span class="name" aria-hidden="true">{{ clockName(p) }}</span>
      <div
        v-for="(c, i) in circles"
        :key="c.id"
        :class="['boxed', { second: i > 0, ringed: ringed[c.id]?.includes(ownClock(c.id, p)) }]"
      >
        <NumberBox
          :ref="keep(`${c.id}@${ownClock(c.id, p)}`)"
          :model-value="texts[c.id]?.[String(ownClock(c.id, p))] ?? ''"
          :label="label(c.name, c.id, ownClock(c.id, p))"
          :placeholder="c.name"
          hide-label
          measure="displacement"
          :units="units"
          signed
          on-dye
          :note="note(c.id, ownClock(c.id, p))"
          @update:model-value="emit('update:text', c.id, ownClock(c.id, p), $event)"
          @enter="emit('enter', c.id, ownClock(c.id, p))"
          @step="emit('step', c.id, ownClock(c.id, p), $event)"
        />
      </div>
    </div>
  </div>
</template>

<style scoped>
.round {
  position: relative;
  flex: none;
  height: 500px;
  max-width: 720px;
  width: 100%;
  margin: 0 auto;
}
.round > svg {
  position: absolute;
  inset: 19% 22%;
  width: 56%;
  height: 62%;
  overflow: visible;
}
.mark-boxes {
  position: absolute;
  width: 112px;
  transform: translate(-50%, -50%);
  display: grid;
  gap: 3px;
}
.across {
  width: 230px;
  grid-template-columns: 1fr 1fr;
}
.across .name {
  grid-column: 1 / -1;
}
.name {
  color: var(--scribe);
  font-family: var(--figures);
  font-size: 14px;
  white-space: nowrap;
}
.legend {
  position: absolute;
  left: 0;
  top: 0;
  margin: 0;
  display: flex;
  gap: 16px;
}
.legend .boxed {
  padding-left: 8px;
}
.boxed {
  border-left: 4px solid #fff;
  border-radius: 4px;
}
.boxed.second {
  border-left-style: double;
  border-color: var(--scribe-dim);
}
.boxed :deep(input::placeholder) {
  font-family: var(--text);
  font-size: 13px;
}
.ringed :deep(.el-input__wrapper) {
  box-shadow: 0 0 0 2px var(--out-on-dye) inset;
}
.hub {
  fill: #24296a;
  stroke: var(--scribe-dim);
  stroke-dasharray: 5 4;
}
.shaft {
  fill: var(--dye-deep);
  stroke: var(--scribe);
}
.curve {
  fill: none;
  stroke: #fff;
  stroke-width: 2.2;
}
.curve.second {
  stroke: var(--scribe-dim);
  stroke-dasharray: 7 4;
}
.dot {
  fill: #fff;
}
.dot.second {
  fill: var(--dye);
  stroke: var(--scribe-dim);
  stroke-width: 2.5;
}
.hour {
  cursor: pointer;
}
.touch {
  fill: transparent;
}
.mark {
  fill: var(--dye-deep);
  stroke: var(--scribe-dim);
  stroke-width: 1.5;
}
.hour.read .mark {
  fill: var(--scribe);
}
.hour:focus-visible {
  outline: none;
}
.hour:focus-visible .mark {
  stroke: var(--brass-on-dye);
  stroke-width: 4;
}
.plus {
  stroke: var(--scribe);
  stroke-width: 1.6;
}
.between {
  fill: var(--scribe);
}
.hand {
  stroke: var(--brass-on-dye);
  stroke-width: 2;
}
/* In rows the order is the order of reading. */
.listed {
  flex: none;
  display: grid;
  grid-template-columns: minmax(220px, 300px) minmax(0, 1fr);
  gap: 6px 18px;
  align-content: start;
  max-width: none;
  height: auto;
}
.listed > svg {
  position: sticky;
  inset: auto;
  top: 0;
  width: 100%;
  height: 300px;
}
.listed .legend {
  position: static;
}
.listed .mark-boxes {
  position: static;
  transform: none;
  width: auto;
  grid-template-columns: 96px repeat(auto-fit, minmax(96px, 1fr));
  align-items: center;
}
@media (max-width: 640px) {
  .round,
  .listed {
    height: auto;
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px 14px;
  }
  .round > svg,
  .listed > svg {
    grid-row: auto !important;
    position: static;
    grid-column: 1 / -1;
    width: 100%;
    height: 300px;
  }
  .legend {
    position: static;
    grid-column: 1 / -1;
  }
  .mark-boxes {
    position: static;
    transform: none;
    width: auto;
    grid-template-columns: 1fr;
  }
}
</style>
