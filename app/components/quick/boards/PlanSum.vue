<script setup lang="ts">
import { plansWords, tablesWords, verdictsWords } from '~~/shared/wording/en'
import { quickWords } from '~~/shared/wording/viewWords'
import ValuesSum from './ValuesSum.vue'
import { PLANES, type Plane } from '~~/core/frame/planes'
import { keyOfPair } from '~~/core/plan/pairNames'
import { judge } from '~~/core/judge/judge'
import { fittingExaggeration, PLAN_VIEW } from '~~/shared/drawing/shaftLines'
import { drawnPlans, planSheet, type DrawnPlan, type PlanSheet } from '~~/shared/quick/drawnPlans'
import {
  nearestMove,
  plannedAxes,
  predictedLine,
  shimLifts,
  steppedMove,
  withMove,
  type PlanChoice,
} from '~~/shared/stages/plan/choice'

/** The line as it stands, typed on the shafts, and where a plan leads, in both views; the plan is picked, or its feet are dragged. */
const props = defineProps<{ id: string; result: unknown }>()
const { form } = useSumBoard()
const telling = useTelling()
const words = useWords()
const w = quickWords.plan

const { whole, stale } = useLastWhole((): { sheet: PlanSheet; plans: readonly DrawnPlan[] } | null => {
  const sheet = props.result === null ? null : planSheet(form.input())
  const plans = sheet ? drawnPlans(sheet, props.result) : []
  return sheet && plans.length > 0 ? { sheet, plans } : null
})
const sheet = computed(() => whole.value?.sheet ?? null)
const plans = computed(() => whole.value?.plans ?? [])
const kind = ref('')
const dragged = shallowRef<PlanChoice | null>(null)
// What was dragged belongs to the numbers it was dragged on.
watch(
  () => JSON.stringify(form.input()),
  () => (dragged.value = null),
)
const offered = computed(() => plans.value.find((p) => p.choice.option === kind.value) ?? plans.value[0])
const shown = computed(() => {
  if (!sheet.value || !offered.value) return null
  if (!dragged.value) return offered.value
  const predicted = predictedLine(sheet.value.input, dragged.value)
  const { verdict } = judge(predicted, sheet.value.tolerance, sheet.value.input.target)
  return { choice: dragged.value, predicted, verdict }
})
const lifts = computed(() => (sheet.value ? shimLifts(sheet.value.input) : new Map()))
const axes = computed(() =>
  sheet.value && shown.value ? plannedAxes(sheet.value.input, shown.value.choice) : null,
)
const own = computed(() => {
  const movable = sheet.value?.input.feet.filter((f) => f.machine !== 'stationary') ?? []
  return movable.length > 0 ? movable : (sheet.value?.still ?? [])
})
const driven = computed(() => sheet.value?.input.feet.filter((f) => f.machine === 'stationary') ?? [])
const step = (foot: string, plane: Plane, by: 1 | -1): number => {
  const now = shown.value?.choice.feet.find((f) => keyOfPair(f) === foot)?.[plane] ?? 0
  return sheet.value ? steppedMove(sheet.value.input, lifts.value, now, foot, plane, by) : now
}
const nearest = (foot: string, plane: Plane, wanted: number): number =>
  sheet.value ? nearestMove(sheet.value.input, lifts.value, foot, plane, wanted) : wanted
const move = (foot: string, plane: Plane, value: number) => {
  if (shown.value) dragged.value = withMove(shown.value.choice, foot, plane, value)
}
const pick = (option: string) => {
  dragged.value = null
  kind.value = option
}
const options = computed(() => [
  ...plans.value.map(({ choice: { option } }) => ({ value: option, name: plansWords(words).names[option] })),
  ...(dragged.value ? [{ value: 'own' as const, name: plansWords(words).names.own }] : []),
])
const exaggeration = computed(() =>
  sheet.value && axes.value
    ? fittingExaggeration({
        lines: [sheet.value.input.coupling, axes.value.movable],
        planes: PLANES,
        feet: own.value,
        ground: axes.value.stationary,
        driven: driven.value.length > 0 ? driven.value : undefined,
        tolerance: sheet.value.tolerance,
        target: sheet.value.input.target,
        ...PLAN_VIEW,
      })
    : 1,
)
</script>

<template>
  <div>
    <ValuesSum :id="id" :result="result" feet-at="machines/movable/feet" />
    <div v-if="sheet && shown && axes" class="plan-sum" :class="{ stale }">
      <ChoiceRow
        :model-value="dragged ? 'own' : (offered?.choice.option ?? '')"
        :label="w.choose"
        on-dye
        :options="options"
        @update:model-value="pick"
      />
      <ShaftView
        v-for="plane in PLANES"
        :key="plane"
        :plane="plane"
        :tolerance="sheet.tolerance"
        :target="sheet.input.target"
        :found="sheet.input.coupling"
        :axes="axes"
        :feet="shown.choice.feet"
        :still="sheet.still"
        :stationary-name="tablesWords(words).driven.toLowerCase()"
        :exaggeration="exaggeration"
        :step="step"
        :nearest="nearest"
        :locked="stale"
        :telling="telling"
        @move="move"
      />
      <p v-if="stale" class="note">{{ w.before }}</p>
      <p v-else class="note">
        <VerdictMark :mark="shown.verdict" on-dye /> {{ w.leads(verdictsWords(words)[shown.verdict]) }}
        {{ w.drag }}
      </p>
    </div>
  </div>
</template>

<style scoped>
.plan-sum {
  display: grid;
  margin-top: 22px;
  gap: 10px;
  max-width: 760px;
}
.stale > :not(.note) {
  opacity: 0.45;
}
.note {
  color: var(--scribe-dim);
  font-size: 14px;
}
</style>
