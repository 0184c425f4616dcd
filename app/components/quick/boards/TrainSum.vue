<script setup lang="ts">
import { PLANES, type Plane } from '~~/core/frame/planes'
import { layOutTrain, trainExaggeration } from '~~/shared/drawing/trainView'
import { trainPlansDrawn, trainSheet } from '~~/shared/quick/trainSum'
import { drawnTrain, halfGate, stillOf, trainFigures } from '~~/shared/stages/trainPlan/drawing'
import { directionsWords, trainWords } from '~~/shared/wording/en'
import { figure } from '~~/shared/wording/figures'

/** A line as it stands and where a plan leads, on the same board as in a job; the plan is picked. */
const props = defineProps<{ id: string; result: unknown }>()
const { form } = useSumBoard()
const session = useSession()
const words = useWords()
const w = trainWords(words).plan
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
const times = computed(() => (drawn.value ? trainExaggeration(drawn.value) : 1))
const d = (mm: number | null, sign = true) => figure(mm, 'displacement', session.units, { sign })
const views = computed(() =>
  drawn.value ? PLANES.map((plane) => ({ plane, view: layOutTrain(drawn.value!, plane, times.value) })) : [],
)
const figures = computed(() =>
  whole.value && plan.value
    ? trainFigures(whole.value.sheet.train, plan.value).filter((f) => f.kind === 'offset')
    : [],
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
      done: Object.fromEntries(
        movesOf(m.id)
          .filter((x) => Math.abs(x[plane]) > 1e-9)
          .map((x) => [
            x.id,
            plane === 'v'
              ? { figure: d(x.v), words: '' }
              : {
                  figure: d(Math.abs(x.h), false),
                  words: directionsWords(words).toward(x.h > 0 ? '3' : '9'),
                },
          ]),
      ),
    }
  })
const couplings = (plane: Plane) =>
  figures.value
    .filter((f) => f.plane === plane)
    .map((f) => {
      const half = drawn.value ? halfGate(drawn.value, f.coupling, plane) : null
      return {
        id: f.coupling,
        now: d(f.now),
        after: d(f.after),
        nowVerdict: f.nowVerdict,
        afterVerdict: f.afterVerdict,
        limit: half === null ? '' : `±${d(half, false)}`,
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
      :note="v.plane === 'v' ? w.drawnBy(String(times)) : ''"
      :machines="machines(v.plane)"
      :couplings="couplings(v.plane)"
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
