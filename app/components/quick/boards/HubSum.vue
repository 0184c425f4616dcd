<script setup lang="ts">
import { levelWords } from '~~/shared/wording/en'
import { runout } from '~~/core/runout/runout'
import { toCore } from '~~/core/units/unitSystem'
import { typedValue } from '~~/shared/forms/typed'
import { atPositions, positionsOf, textsAt, withText } from '~~/shared/quick/circles'
import { drawTurn } from '~~/shared/stages/level/drawing'

/** One turn of a hub under a fixed dial: the boxes stand at its marks. */
defineProps<{ id: string; result: unknown }>()
const session = useSession()
const { form, rows, set } = useSumBoard()
const w = levelWords(useWords()).view
const CIRCLE = { id: 'turn', list: 'readings', value: 'value' }
const marks = computed(() => positionsOf([CIRCLE], form.at, session.units))
const texts = computed(() => textsAt([CIRCLE], form.at, session.units).turn ?? {})
const values = computed(() =>
  marks.value.flatMap((clock) => {
    const value = typedValue(texts.value[String(clock)], 'displacement', session.units)
    return value === null ? [] : [{ clock, value: toCore(value, 'displacement', session.units) }]
  }),
)
const turn = computed(() => {
  const found = values.value.length >= 3 ? runout({ readings: values.value, surface: 'rim', limit: 1 }) : null
  return drawTurn(found?.ok ? found.value : null, values.value)
})
const setMarks = (n: number) =>
  set(
    'readings',
    atPositions(
      rows('readings'),
      Array.from({ length: n }, (_, i) => (360 / n) * i),
      session.units,
    ),
  )
const board = useTemplateRef<{ focus: (clock: number) => void }>('board')
const next = (clock: number) => {
  const at = marks.value[(marks.value.indexOf(clock) + 1) % marks.value.length]
  if (at !== undefined) board.value?.focus(at)
}
</script>

<template>
  <div>
    <ChoiceRow
      :model-value="String(marks.length)"
      :label="w.count"
      show-label
      on-dye
      :options="[4, 8, 12].map((n) => ({ value: String(n), name: String(n) }))"
      @update:model-value="setMarks(Number($event))"
    />
    <TurnedHub
      ref="board"
      :marks="marks"
      :values="texts"
      :turn="turn"
      :faults="{}"
      :name="w.panels.runout"
      :units="session.units"
      :locked="false"
      @value="
        (clock, text) => set('readings', withText(rows('readings'), CIRCLE, clock, text, session.units))
      "
      @enter="next"
    />
  </div>
</template>
