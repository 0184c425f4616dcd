<script setup lang="ts">
import { PLAN_NAMES } from '~~/shared/wording/names'
import { blockedWords, handlingWords, liftWords, meaningOfPlan } from '~~/shared/wording/plans'
import { planWorking } from '~~/shared/working/plan'

const job = useJob()
const session = useSession()
const goOn = inject(goOnKey, () => {})
const plan = usePlanChoice()
const { result, choice, predicted, judgement } = plan

const found = computed(() => plan.input.value?.coupling ?? null)
const closed = computed(() => job.state?.closed != null)
const now = computed(() => job.state?.latest.judgement ?? null)
const moves = computed(() =>
  (choice.value?.feet ?? []).some((f) => Math.abs(f.v) > 1e-9 || Math.abs(f.h) > 1e-9),
)
const meaning = computed(() => meaningOfPlan(now.value, judgement.value, moves.value))
const notAgreed = computed(() => job.state?.latest.trust === 'once' || job.state?.latest.trust === 'unproven')
const working = computed(() =>
  found.value && predicted.value
    ? planWorking(found.value, predicted.value, plan.packedMoves.value, session.units)
    : [],
)

const takeIt = () => {
  const changes = plan.changes(session.units)
  if (!changes || !choice.value || closed.value || !moves.value) return
  job.log({ kind: 'plan-chosen', payload: { units: session.units, option: choice.value.option, ...changes } })
  goOn()
}
const skipping = ref(false)
const skip = (why: string) => {
  job.log({ kind: 'stage-skipped', payload: { stage: 'plan', why } })
  goOn()
}
const inBandAlready = computed(() => now.value?.verdict === 'in')
useNextKey(() => (moves.value ? takeIt() : goOn()))
</script>

<template>
  <BoardFrame v-if="found && predicted && choice && job.state" title="Plan" bare>
    <ShaftView
      v-for="plane in ['v', 'h'] as const"
      :key="plane"
      :plane="plane"
      :state="job.state"
      :found="found"
      :predicted="predicted"
      :feet="choice.feet"
      :stationary-name="job.machine?.stationaryName ?? ''"
      :step="plan.step"
      :nearest="plan.nearest"
      :locked="closed"
      @move="plan.move"
    />
    <p class="hint">
      Drag a foot or step it with ↑ ↓: real shims in height, graduations sideways. White is now, brass after.
    </p>
  </BoardFrame>
  <BoardFrame v-else title="Plan">
    <p class="empty">The plan is drawn here once the readings can be trusted.</p>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <TurnedDownEntries />
    <p v-if="notAgreed" class="muted">The readings were not repeated. A plan is only as good as they are.</p>
    <JudgementTable v-if="now" :judgement="now" :after="judgement" />
    <div v-if="result?.plans.length" class="ways">
      <h3>Ways to shim it</h3>
      <button
        v-for="p in result.plans"
        :key="p.kind"
        type="button"
        class="way"
        :class="{ on: choice?.option === p.kind }"
        :aria-pressed="choice?.option === p.kind"
        @click="plan.take(p)"
      >
        <span class="name">{{ PLAN_NAMES[p.kind] }}</span><span class="figure lifts">{{
          liftWords(p, session.units)
        }}</span>
        <span class="muted">{{ handlingWords(p) }}</span><span class="muted verdict"
          ><VerdictMark v-if="p.judgement.verdict !== 'unknown'" :mark="p.judgement.verdict" />
          {{ Math.round(Math.max(p.score.v, p.score.h) * 100) }} % of limit</span
        >
      </button>
      <p v-if="choice?.option === 'own'" class="muted">You dragged a foot: this is your own plan.</p>
    </div>
    <ul v-if="result && !result.feasible && result.blocked.length" class="blocked">
      <li v-for="b in result.blocked" :key="`${b.id}${b.plane}`">{{ blockedWords(b, session.units) }}</li>
    </ul>
    <ShowWorking :steps="working" />
    <WhyDialog
      v-model="skipping"
      title="Move without a plan"
      question="Why?"
      action="Pass over the plan"
      @say="skip"
    />
    <template #next>
      <button v-if="found && !closed" type="button" class="text-button" @click="skipping = true">
        Move without this plan
      </button>
      <button v-if="inBandAlready && !moves" type="button" class="next-button" @click="goOn()">
        Nothing to move; go on
      </button>
      <button v-else type="button" class="next-button" :disabled="!moves || closed" @click="takeIt">
        Take these shims to the machine
      </button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.empty {
  margin: auto;
  color: var(--scribe-dim);
}
.hint {
  color: var(--scribe-dim);
  font-size: 14px;
}
h3 {
  font-size: 16px;
  margin-bottom: 6px;
}
.way {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: 0 8px;
  width: 100%;
  padding: 6px 12px;
  min-height: 58px;
  margin-bottom: 7px;
  text-align: left;
  border: 1px solid var(--hairline);
  border-radius: 4px;
  background: var(--panel);
  cursor: pointer;
}
.way.on {
  border: 2px solid var(--ink);
  padding: 5px 11px;
}
.way .muted {
  font-size: 14px;
}
.name {
  font-weight: 700;
}
.lifts {
  font-size: 15px;
  text-align: right;
  flex: 1;
  white-space: nowrap;
}

.verdict {
  text-align: right;
  white-space: nowrap;
}
.verdict svg {
  vertical-align: -3px;
}
.blocked {
  margin: 0;
  padding-left: 18px;
}
</style>
