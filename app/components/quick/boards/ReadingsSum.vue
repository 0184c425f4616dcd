<script setup lang="ts">
import { atPositions, circlesOfSum, drawTyped, positionsOf, textsAt, withText } from '~~/shared/quick/circles'
import { clockName } from '~~/shared/wording/directions'
import { circleName } from '~~/shared/wording/circles'

/** Readings of a measuring sum round the hub, and the line they come to. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const telling = useTelling()
const { form, rows, set } = useSumBoard()
const circles = computed(() => circlesOfSum(props.id, form.at))
const positions = computed(() => positionsOf(circles.value, form.at, session.units))
const texts = computed(() => textsAt(circles.value, form.at, session.units))
const named = computed(() => circles.value.map((c) => ({ id: c.id, name: circleName(c.id, telling.value) })))
const drawn = computed(() => drawTyped(circles.value, form.at, session.units))
const none = computed(() => Object.fromEntries(circles.value.map((c) => [c.id, {}])))
const setText = (circle: string, clock: number, text: string) => {
  const own = circles.value.find((c) => c.id === circle)
  if (own) set(own.list, withText(rows(own.list), own, clock, text, session.units))
}
const setPositions = (clocks: readonly number[]) => {
  for (const list of new Set(circles.value.map((c) => c.list)))
    set(list, atPositions(rows(list), clocks, session.units))
}
const board = useTemplateRef<{ focus: (circle: string, clock: number) => void }>('board')
/** Every circle at a stop, then the next stop. */
const step = (circle: string, clock: number, by: 1 | -1) => {
  const order = positions.value.flatMap((p) => circles.value.map((c) => [c.id, p] as const))
  const here = order.findIndex(([c, p]) => c === circle && p === clock)
  const next = order[(here + by + order.length) % order.length]
  if (next) board.value?.focus(...next)
}
</script>

<template>
  <div>
    <RoundClock
      ref="board"
      :positions="positions"
      :circles="named"
      :texts="texts"
      :units="session.units"
      :ghost="none"
      :ringed="{}"
      :notes="none"
      :drawn="drawn"
      :own-clock="(_, clock) => clock"
      :clock-name="(clock) => clockName(clock, telling)"
      @positions="setPositions"
      @update:text="setText"
      @enter="(circle, clock) => step(circle, clock, 1)"
      @step="step"
    />
    <PositionTools :positions="positions" :units="session.units" cost="" @positions="setPositions" />
    <LineFound v-if="id !== 'fit-readings'" :id="id" :result="result" />
  </div>
</template>
