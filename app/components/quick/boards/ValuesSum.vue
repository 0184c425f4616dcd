<script setup lang="ts">
import { directionsWords } from '~~/shared/wording/en'
import { UNJUDGED } from '~~/shared/quick/keepMeasurement'
import { labelOf } from '~~/shared/quick/labels'

/** Offset and angle at the coupling, typed on the drawn shafts. */
const props = defineProps<{
  id: string
  result: unknown
  /** Where the form keeps the motor's feet. */
  feetAt?: string
}>()
const session = useSession()
const { form, text, feetIn, lineAt, set } = useSumBoard()
const words = useWords()
const directions = directionsWords(words)
const feet = computed(() => feetIn(props.feetAt ?? 'feet'))
const PATH = { offset: 'coupling/offset', slope: 'coupling/slope' } as const
const PLANE = { 0: 'v', 90: 'h' } as const
const planeOf = (clock: number) => PLANE[clock === 0 ? 0 : 90]
const texts = computed(() =>
  Object.fromEntries(
    (['offset', 'slope'] as const).map((q) => [q, { 0: text(`${PATH[q]}/v`), 90: text(`${PATH[q]}/h`) }]),
  ),
)
const line = computed(() => lineAt('coupling'))
const notes = computed(() =>
  Object.fromEntries(
    (['offset', 'slope'] as const).map((q) => [
      q,
      { 0: form.issue(`${PATH[q]}/v`), 90: form.issue(`${PATH[q]}/h`) },
    ]),
  ),
)
const setText = (circle: string, clock: number, typed: string) => {
  const [what, plane] = [circle === 'slope' ? 'slope' : 'offset', planeOf(clock)] as const
  set(`${PATH[what]}/${plane}`, typed)
}
const board = useTemplateRef<{ focus: (circle: string, clock: number) => void }>('board')
const ORDER = [
  ['offset', 0],
  ['slope', 0],
  ['offset', 90],
  ['slope', 90],
] as const
const next = (circle: string, clock: number) => {
  const here = ORDER.findIndex(([c, at]) => c === circle && at === clock)
  const [nextCircle, nextClock] = ORDER[(here + 1) % ORDER.length] ?? ORDER[0]
  board.value?.focus(nextCircle, nextClock)
}
</script>

<template>
  <ValuesBoard
    ref="board"
    :circles="[
      { id: 'offset', name: labelOf('offset') },
      { id: 'slope', name: labelOf('slope'), plain: true },
    ]"
    :places="{ offset: 0, slope: feet.at(-1)?.x ?? 0 }"
    :texts="texts"
    :units="session.units"
    :ghost="{}"
    :notes="notes"
    :feet="feet"
    :tolerance="UNJUDGED"
    :line="line"
    :plane-name="(clock) => directions.planes[planeOf(clock)]"
    gateless
    @update:text="setText"
    @enter="next"
  />
</template>
