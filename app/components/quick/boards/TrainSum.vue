<script setup lang="ts">
import type { Plane } from '~~/core/frame/planes'
import { bothViews } from '~~/shared/drawing/trainView'
import { trainPlansDrawn, trainSheet } from '~~/shared/quick/trainSum'
import { drawnTrain, stillOf, trainFigures } from '~~/shared/stages/trainPlan/drawing'
import { couplingsTold, doneTold } from '~~/shared/stages/trainPlan/told'
import { trainWords } from '~~/shared/wording/en'

/** A line as it stands and where a plan leads, on the same board as in a job; the plan is picked. */
const props = defineProps<{ id: string; result: unknown }>()
const { form } = useSumBoard()
const telling = useTelling()
const w = trainWords(telling.value.words).plan
const { whole } = useLastWhole(() => {
  const sheet = props.result === null ? null : trainSheet(form.input())
  const plans = sheet ? trainPlansDrawn(sheet, props.result) : []
  return sheet && plans.length > 0 ? { sheet, plans } : null
})
const picked = ref('')
const plan = computed(() => {
  const plans = whole.value?.plans ?? []
  return (
    plans.find((p) => p.key === picked.value) ??
    plans.find((p) => p.kind === 'least-work') ??
    plans[0] ??
    null
  )
})
const held = (id: string) =>
  whole.value?.sheet.train.machines.find((m) => m.id === id)?.feet.every((f) => f.locked) ?? false
const drawn = computed(() =>
  whole.value && plan.value
    ? drawnTrain(
        whole.value.sheet,
        plan.value.moves,
        stillOf(whole.value.sheet.train.machines.map((m) => ({ held: held(m.id) }))),
      )
    : null,
)
const views = computed(() => (drawn.value ? bothViews(drawn.value) : []))
const figures = computed(() =>
  whole.value && plan.value ? trainFigures(whole.value.sheet.train, plan.value) : [],
)
const movesOf = (id: string) => (plan.value?.moves ?? []).filter((m) => m.machine === id)
const machines = (plane: Plane) =>
  (whole.value?.sheet.train.machines ?? []).map((m) => {
    const moves = movesOf(m.id).some((x) => Math.abs(x.v) + Math.abs(x.h) > 1e-9)
    return {
      id: m.id,
      name: m.id,
      note: held(m.id) ? w.held.register : moves ? w.moves : w.leftAlone,
      held: held(m.id),
      moves,
      done: doneTold(movesOf(m.id), m.id, plane, telling.value),
    }
  })
const options = computed(() =>
  (whole.value?.plans ?? []).map((p) => ({ value: p.key, name: p.only ? w.only(p.only) : w.names[p.kind] })),
)
</script>

<template>
  <div v-if="plan && views.length" class="train-sum">
    <ChoiceRow
      v-if="options.length > 1"
      :model-value="plan.key"
      :label="w.ways"
      on-dye
      :options="options"
      @update:model-value="picked = $event"
    />
    <TrainView
      v-for="v in views"
      :key="v.plane"
      :view="v.view"
      :title="w.views[v.plane]"
      :note="v.plane === 'v' ? w.drawnBy(v.times) : ''"
      :machines="machines(v.plane)"
      :couplings="couplingsTold(figures, drawn!, v.plane, telling)"
    />
  </div>
</template>

<style scoped>
.train-sum {
  display: grid;
  gap: 12px;
  max-width: 820px;
}
</style>
