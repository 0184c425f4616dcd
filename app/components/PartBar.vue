<script setup lang="ts">
import { sheetWords, trainWords } from '~~/shared/wording/en'
import type { PartRow, TrainState } from '~~/core/jobs/train'
import { machinesMoved } from '~~/core/stages/trainPlan/plans'
import { orderOfMoves } from '~~/core/train/orderOfMoves'
import { machinesNamed } from '~~/shared/wording/train'

/** The parts of a line that a stage is done at, one after the other; at the move in the order that never undoes the last. */
const props = defineProps<{
  rows: readonly PartRow[]
  train: TrainState
  /** The plan in force says who moves, in which order. */
  moving?: boolean
}>()
const part = defineModel<string | null>({ required: true })
const words = useWords()
const w = computed(() => trainWords(words).part)
const steps = computed(() =>
  props.moving && props.train.plan
    ? orderOfMoves(
        props.train.machine.machines.map((m) => m.id),
        machinesMoved(props.train.plan.entry),
      )
    : [],
)
const nth = (id: string) => steps.value.findIndex((s) => s.machine === id)
const shown = computed(() =>
  [...props.rows]
    .sort((a, b) => (steps.value.length > 0 ? order(a) - order(b) : 0))
    .map((r) => ({
      ...r,
      name: nth(r.part.id) >= 0 ? w.value.nth(nth(r.part.id) + 1, r.part.name) : r.part.name,
    })),
)
const order = (r: PartRow) => (nth(r.part.id) < 0 ? Infinity : nth(r.part.id))
/** At the move a machine that nobody moves was not passed over. */
const markWords = (mark: PartRow['mark']) =>
  props.moving && mark === 'skipped' ? trainWords(words).plan.leftAlone : sheetWords(words).marks[mark]
/** What the move in hand makes final. */
const note = computed(() => {
  const step = steps.value.find((s) => s.machine === part.value)
  if (!step) return ''
  const { couplings } = props.train.machine
  const settled = step.settles.map((c) => couplings[c]?.name.toLowerCase() ?? '')
  const said =
    settled.length > 0 ? w.value.settles(settled.join(trainWords(words).plan.and)) : w.value.settlesNone
  return steps.value.length > 1
    ? `${w.value.order(steps.value.map((s) => machinesNamed([s.machine], props.train, { words })).join(', '))} ${said}`
    : said
})
</script>

<template>
  <div class="parts" role="group" :aria-label="w.ask">
    <el-button
      v-for="r in shown"
      :key="r.part.id"
      text
      class="part"
      :class="{ here: r.part.id === part, wants: r.wants }"
      :aria-pressed="r.part.id === part"
      :aria-label="w.told(r.name, markWords(r.mark))"
      @click="part = r.part.id"
    >
      <VerdictMark :mark="r.mark" silent /> <span>{{ r.name }}</span>
    </el-button>
    <p v-if="note" class="muted note">{{ note }}</p>
  </div>
</template>

<style scoped>
.parts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 6px;
  padding: 0 14px;
  background: var(--panel);
  border-bottom: 1px solid var(--hairline);
  min-width: 0;
}
.part.el-button {
  min-height: 44px;
  margin: 0;
  padding: 0 12px;
  border: 0;
  border-bottom: 3px solid transparent;
  border-radius: 0;
  font-size: 15px;
  color: var(--ink);
}
.part :deep(> span) {
  gap: 8px;
}
.part.here {
  font-weight: 700;
  border-bottom-color: var(--brass);
  background: var(--page);
}
.note {
  flex: 1;
  min-width: 220px;
  padding: 4px 0 4px 8px;
  font-size: 13px;
  line-height: 1.35;
}
@media (max-width: 640px) {
  .note {
    flex-basis: 100%;
    padding: 0 0 8px;
  }
}
</style>
