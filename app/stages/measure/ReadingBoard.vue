<script setup lang="ts">
import { measuringWords, typingWords } from '~~/shared/wording/en'
import { loadedAhead } from '../ahead'
import type { BoardShape } from './boardShape'
import { clockErrorCost } from '~~/core/frame/clock'
import type { Measurement } from '~~/core/stages/measure/measurement'
import type { ReadingSet } from '~~/core/stages/measure/readingSet'
import { ghostOf, placeName, placesOfValues, ringedOf } from '~~/shared/stages/measure/drawing'
import { ownClock, type ReadingBox } from '~~/shared/stages/measure/form'
import { drawRound } from '~~/shared/stages/measure/round'
import { figure } from '~~/shared/wording/figures'
import { seenClock } from '~~/shared/wording/otherEnd'

const DrumBoard = loadedAhead(() => import('../tram/DrumBoard.vue'))
const PadsBoard = loadedAhead(() => import('~/boards/PadsBoard.vue'))
const PositionTools = loadedAhead(() => import('~/boards/PositionTools.vue'))
const ReadingTable = loadedAhead(() => import('~/boards/ReadingTable.vue'))
const RoundClock = loadedAhead(() => import('~/boards/RoundClock.vue'))
const ValuesBoard = loadedAhead(() => import('~/boards/ValuesBoard.vue'))

/** The boxes of one set on the board that suits it, with the last sound set faint behind and misfits ringed. */
const props = defineProps<{
  reading: ReturnType<typeof useReadingForm>
  shape: BoardShape
  named: readonly { readonly id: string; readonly name: string }[]
  /** The set that is drawn: the one being typed, else the last. */
  shown: ReadingSet | undefined
  measurement: Measurement | null
  /** What was logged so far: casts the ghost. */
  before: Measurement | undefined
}>()
const emit = defineEmits<{ positions: [clocks: number[]]; enter: [box: ReadingBox] }>()
const job = useJob()
const session = useSession()
const telling = useTelling()
const { reading } = props
const { form, circles, reads, read } = reading

const setUp = computed(() => job.measured?.setUp ?? null)
const ghost = (circle: string) => ghostOf(props.before, circle, form.value.correcting, telling.value)
const ringed = (circle: string) => ringedOf(props.measurement, circle, reading.draftId())
const notes = (circle: string): Record<string, string> =>
  Object.fromEntries(
    (read.value.slips[circle] ?? []).map((c) => [String(c), typingWords(telling.value.words).tenfoldOthers]),
  )
const byCircle = <T,>(of: (circle: string) => T): Record<string, T> =>
  Object.fromEntries(circles.value.map((c) => [c, of(c)]))
const drawn = computed(() => drawRound(props.shown, (clock) => seenClock(clock, job.viewFrom)))
const valuePlaces = computed(() => placesOfValues(setUp.value))
/** What a shaft standing 5 degrees off would do to the circle that swings most. */
const cost = computed(() => {
  const fits = Object.values(props.shown?.measured?.fits ?? {})
  const swing = Math.max(0, ...fits.map((f) => Math.hypot(f.cos ?? 0, f.sin ?? 0)))
  return swing === 0
    ? ''
    : measuringWords(telling.value.words).view.helper.cost(
        figure(clockErrorCost(swing, 5), 'displacement', session.units, { unit: true, extra: 1 }),
      )
})

/** Whichever board the circles are on. */
const whole = useTemplateRef<{ focus: (circle: string, clock: number) => void }>('whole')
/** Asked for before its board was loaded. */
let waiting: ReadingBox | null = null
const focus = (box: ReadingBox) => {
  const { circle, clock } = box
  if (clock === null) return
  waiting = null
  if (whole.value) whole.value.focus(circle, clock)
  else waiting = box
}
watch(whole, () => waiting && focus(waiting), { flush: 'post' })
defineExpose({ focus })
const walk = (circle: string, clock: number, by: 1 | -1) => {
  const { positions } = form.value
  const next = positions[(positions.indexOf(clock) + by + positions.length) % positions.length]
  if (next !== undefined) focus({ circle, clock: next })
}
</script>

<template>
  <PadsBoard
    v-if="shape === 'pads'"
    ref="whole"
    :positions="form.positions"
    :circles="named"
    :texts="form.circles"
    :units="session.units"
    :ghost="byCircle(ghost)"
    :ringed="byCircle(ringed)"
    :notes="byCircle(notes)"
    :own-clock="ownClock"
    :value="read.value"
    @update:text="reading.setText"
    @enter="(circle, clock) => emit('enter', { circle, clock })"
    @step="walk"
  />
  <DrumBoard
    v-else-if="shape === 'drum'"
    ref="whole"
    :positions="form.positions"
    :texts="form.circles"
    :units="session.units"
    :ghost="byCircle(ghost)"
    :ringed="byCircle(ringed)"
    :notes="byCircle(notes)"
    :place="(clock) => placeName(setUp, clock, telling)"
    @update:text="reading.setText"
    @enter="(circle, clock) => emit('enter', { circle, clock })"
    @step="walk"
  />
  <RoundClock
    v-else-if="shape === 'round'"
    ref="whole"
    :positions="form.positions"
    :circles="named"
    :texts="form.circles"
    :units="session.units"
    :ghost="byCircle(ghost)"
    :ringed="byCircle(ringed)"
    :notes="byCircle(notes)"
    :drawn="drawn"
    :own-clock="ownClock"
    :clock-name="(clock) => placeName(setUp, clock, telling)"
    @positions="emit('positions', $event)"
    @update:text="reading.setText"
    @enter="(circle, clock) => emit('enter', { circle, clock })"
    @step="walk"
  />
  <ValuesBoard
    v-else-if="shape === 'values' && setUp"
    ref="whole"
    :circles="named"
    :places="valuePlaces"
    :texts="form.circles"
    :units="session.units"
    :ghost="byCircle(ghost)"
    :notes="byCircle(notes)"
    :feet="setUp.feet"
    :tolerance="job.measured!.tolerance"
    :line="measurement?.coupling ?? null"
    :plane-name="(clock) => placeName(setUp, clock, telling)"
    @update:text="reading.setText"
    @enter="(circle, clock) => emit('enter', { circle, clock })"
    @step="walk"
  />
  <ReadingTable
    v-else
    ref="whole"
    :positions="form.positions"
    :circles="named"
    :texts="form.circles"
    :units="session.units"
    :ghost="byCircle(ghost)"
    :ringed="byCircle(ringed)"
    :notes="byCircle(notes)"
    :angles="form.ownAngles ? form.angles : null"
    :unclear="read.unclearAngles"
    :clock-name="(clock) => placeName(setUp, clock, telling)"
    :fixed="reads === 'values'"
    @positions="emit('positions', $event)"
    @angle="reading.setAngle"
    @update:text="reading.setText"
    @enter="(circle, clock) => emit('enter', { circle, clock })"
    @step="walk"
  />
  <PositionTools
    v-if="shape === 'round' || (shape === 'table' && reads !== 'values')"
    :positions="form.positions"
    :units="session.units"
    :cost="cost"
    @positions="emit('positions', $event)"
  />
</template>
