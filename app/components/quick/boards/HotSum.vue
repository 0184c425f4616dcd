<script setup lang="ts">
import { drawingsWords } from '~~/shared/wording/en'
import { quickWords } from '~~/shared/wording/viewWords'
import { PLANES, type Misalignment, type Plane } from '~~/core/frame/planes'
import { targetFromHotCheck } from '~~/core/coupling/hotCheck'
import { UNJUDGED } from '~~/shared/quick/keepMeasurement'
import { labelOf } from '~~/shared/quick/labels'
import type { NamedLine } from '~~/shared/drawing/lineBundle'

/** Cold and hot, typed under the lines they draw, and the line that it is to be set to. */
const props = defineProps<{ id: string; result: unknown }>()
const { box, feetIn, lineAt } = useSumBoard()
const words = useWords()
const w = quickWords.hot
const STATES = ['cold', 'hot'] as const
const feet = computed(() => feetIn('feet'))

/** Drawn on zero where nothing is typed yet. */
const known = ({ offset, slope }: Misalignment): Misalignment => ({
  offset: { v: offset.v ?? 0, h: offset.h ?? 0 },
  slope: { v: slope.v ?? 0, h: slope.h ?? 0 },
})
const lines = computed((): readonly NamedLine[] => {
  const [cold, hot] = STATES.map((state) => known(lineAt(state))) as [Misalignment, Misalignment]
  return [
    { look: 'before', name: w.cold, line: cold },
    { look: 'now', name: w.hot, line: hot },
    ...(props.result === null
      ? []
      : [
          {
            look: 'aim' as const,
            name: drawingsWords(words).coldTarget,
            line: targetFromHotCheck(cold, hot),
          },
        ]),
  ]
})
const rows = (plane: Plane) =>
  STATES.map((state) => ({
    state,
    boxes: (['offset', 'slope'] as const).map((q) => ({
      ...box(`${state}/${q}/${plane}`, q === 'offset' ? 'displacement' : 'plain'),
      label: `${w[state]}: ${labelOf(q).toLowerCase()}`,
    })),
  }))
const planes = computed(() => new Map(PLANES.map((p) => [p, rows(p)])))
</script>

<template>
  <LineBundle :lines="lines" :feet="feet" :tolerance="UNJUDGED" gateless>
    <template #default="{ plane }">
      <div v-for="r in planes.get(plane)" :key="r.state" class="boxes">
        <NumberBox v-for="b in r.boxes" :key="b.label" v-bind="b" />
      </div>
    </template>
  </LineBundle>
</template>

<style scoped>
.boxes {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
  align-items: end;
  margin-top: 10px;
}
</style>
