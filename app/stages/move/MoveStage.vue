<script setup lang="ts">
import { machineNames } from '~~/shared/wording/machineNames'
import { meaningOfMove } from '~~/shared/wording/moves'
import { actionsWords, feetWords, movesWords, pushingWords } from '~~/shared/wording/en'
import { lineSum } from '~~/core/frame/planes'
import { keyOfPair } from '~~/core/plan/pairNames'
import { judge } from '~~/core/judge/judge'
import { drawPush } from '~~/shared/stages/move/pushDrawing'
import { sidesFromCounts } from '~~/shared/stages/move/pushForm'
import { sideWords } from '~~/shared/wording/directions'
import { figure, thickness, UNIT_NAMES } from '~~/shared/wording/figures'
import { headlineOfPush } from '~~/shared/wording/pushing'
import { capital } from '~~/shared/wording/capital'
import { pairName, farEnd } from '~~/shared/wording/telling'
import { limitSource } from '~~/shared/wording/tolerances'
import PushLedger from './PushLedger.vue'
import TightenStep from './TightenStep.vue'

const LivePush = defineAsyncComponent(() => import('~/components/instruments/LivePush.vue'))

const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const { form, clear, feet, hasDriven, withDriven, read, plan, fill, correct } = useMoveForm()
const ask = useAskOnce(() => read.value.questions)
const push = usePushForm()

const w = computed(() => movesWords(telling.value.words))
const actions = computed(() => actionsWords(telling.value.words))
const state = computed(() => job.footed!)
const locked = computed(() => state.value.closing !== null || !state.value.setUp)
const last = computed(() => state.value.moves.at(-1) ?? null)
const { pairs, plannedSide, plannedShims, plannedSides, step, steps } = useMoveSteps(feet, plan)
const p = computed(() => pushingWords(telling.value.words))
const asPlanned = (which: 'v' | 'h') => {
  fill({ shims: which === 'v', side: which === 'h' })
  step.value = which
}
const drawn = computed(() => drawPush(push.watched.value, feet.value, session.units))
/** Dials that were logged, here or elsewhere, say how far it was pushed: the boxes take it, and may be corrected. */
const dialled = computed(() =>
  push.logged.value.wanted && push.logged.value.counted
    ? sidesFromCounts(push.logged.value, session.units)
    : null,
)
watch(
  () => JSON.stringify(dialled.value),
  (_, was) => {
    const blank = Object.values(form.value.side).every((t) => t.trim() === '')
    if (dialled.value && !form.value.correcting && (was !== undefined || blank))
      form.value.side = { ...form.value.side, ...dialled.value }
  },
  { immediate: true },
)
/** Nothing is to be pushed: the dials are zeroed, and watched while it is tightened. */
const onlyShift = computed(() => step.value === 'v' && !push.watched.value.wanted && !locked.value)
const pushing = computed(
  () => (step.value === 'h' || onlyShift.value) && !form.value.correcting && !locked.value,
)
/** Counts that instruments show are taken before the move is logged: while there is a bite to take, and once it is tightened. */
const liveCounts = computed(
  () =>
    pushing.value &&
    push.live.value !== null &&
    (push.logged.value.next !== null || push.logged.value.drift === null),
)

/** The move being typed, as the fold sees it. */
const drafted = computed(() => {
  const record = job.draft ? job.liveFooted?.moves.find((m) => m.entry.id === job.draft?.id) : null
  return record?.footwork ?? null
})
const predicted = computed(() => {
  const from = state.value.latest.coupling
  const change = drafted.value?.change
  return from && change && !form.value.correcting ? lineSum(from, change) : null
})
const after = computed(() =>
  predicted.value ? judge(predicted.value, state.value.tolerance, state.value.target) : null,
)
const source = computed(() => limitSource(state.value, telling.value))
const waiting = computed(
  () => !read.value.payload && last.value !== null && state.value.latest.sets.length === 0 && !plan.value,
)
const meaning = computed(() => {
  const h = w.value.headlines
  if (drafted.value?.uneven.length) return { mark: 'out' as const, headline: h.rocks }
  if (form.value.correcting) return { mark: 'todo' as const, headline: h.correcting }
  const verdict = after.value?.verdict
  const mark = verdict && verdict !== 'unknown' ? verdict : ('todo' as const)
  if (pushing.value && (push.watched.value.counted || !read.value.payload)) {
    const headline = headlineOfPush(push.watched.value, telling.value)
    if (headline) return { mark: push.watched.value.drift?.over ? ('edge' as const) : mark, headline }
  }
  if (read.value.hasShims && read.value.hasSide) return { mark, headline: h.both }
  if (read.value.hasShims) return { mark, headline: h.shims }
  if (read.value.hasSide) return { mark, headline: h.side }
  return meaningOfMove(state.value, telling.value)
})
const footOf = (u: { pair: string; machine: 'movable' | 'stationary' }) =>
  capital(feetWords(telling.value.words).feet(pairName(telling.value, { ...u, id: u.pair })))

const asking = ref(false)
const log = (reason?: string) => {
  const { payload } = read.value
  if (!payload || locked.value || !ask.mayGo()) return
  const { correcting } = form.value
  if (correcting && !reason) {
    asking.value = true
    return
  }
  if (!job.log({ kind: 'move-made', payload }, correcting && reason ? { entry: correcting, reason } : null))
    return
  clear()
  if (!correcting) goOn()
}
const d = (x: number) => figure(Math.abs(x), 'displacement', session.units, { unit: true })
const unit = computed(() => UNIT_NAMES[session.units].displacement)
</script>

<template>
  <BoardFrame
    :title="form.correcting ? w.view.titleCorrecting : w.view.title"
    :note="plan ? w.view.planned : w.view.free"
  >
    <template #tools>
      <el-button v-if="plannedShims" class="dye-button" :disabled="locked" @click="asPlanned('v')">{{
        w.view.shimsAsPlanned
      }}</el-button>
      <el-button v-if="plannedSides" class="dye-button" :disabled="locked" @click="asPlanned('h')">{{
        w.view.sidesAsPlanned
      }}</el-button>
    </template>
    <el-radio-group v-model="step" class="steps" :aria-label="w.view.title">
      <el-radio-button v-for="s in steps" :key="s.value" :value="s.value">
        <b>{{ s.label }}</b> · {{ s.says }}
      </el-radio-button>
    </el-radio-group>
    <FootMap
      v-if="step === 'v'"
      :pairs="pairs"
      :out="form.out"
      :in="form.in"
      :faults="read.faults"
      :locked="locked"
      :movable-name="job.machine?.movableName ?? ''"
      :far-name="farEnd(feet, telling)"
      :units="session.units"
      @update:shims="(way, key, text) => (form[way][key] = text)"
      @enter="log()"
    />
    <LivePush v-if="pushing && job.links.length > 0" :push="push" />
    <PushWatch
      v-if="step !== 'v'"
      :ends="drawn"
      :texts="push.form.value.toGo"
      :faults="push.read.value.faults"
      :locked="locked"
      :telling="telling"
      @update:text="push.type"
      @enter="push.log()"
    />
    <TightenStep :feet="feet" :push="push" :only-shift="onlyShift" :locked="locked" />
    <div class="sides">
      <div v-for="f in step === 'h' || form.correcting ? feet : []" :key="keyOfPair(f)">
        <p class="want">
          {{ capital(pairName(telling, f)) }}
          {{ plannedSide(f) ? sideWords(plannedSide(f), telling) : '' }}
        </p>
        <NumberBox
          :model-value="form.side[keyOfPair(f)] ?? ''"
          :label="w.view.pushed(capital(pairName(telling, f)))"
          measure="displacement"
          :units="session.units"
          signed
          on-dye
          :disabled="locked"
          :note="read.faults[`side.${keyOfPair(f)}`] ?? w.view.room(d(f.sidePlus), d(f.sideMinus))"
          @update:model-value="form.side[keyOfPair(f)] = $event"
          @enter="log()"
        />
      </div>
      <div class="remark">
        <label for="move-remark">{{ actions.remark }}</label>
        <el-input id="move-remark" v-model="form.remark" maxlength="2000" :disabled="locked" />
      </div>
    </div>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline">
    <p v-for="q in ask.shown.value" :key="q" class="question" role="alert">{{ q }}</p>
    <PushLedger :push="push" :pushing="pushing && step === 'h'" />
    <p v-for="u in drafted?.uneven ?? []" :key="u.pair">{{ w.uneven(footOf(u), d(u.difference)) }}</p>
    <p v-for="(u, i) in drafted?.unknownShims ?? []" :key="i">
      {{
        w.unknownShim(
          `${thickness(u.thickness, session.units)} ${unit}`,
          `${pairName(telling, { ...u, id: u.pair })} ${feetWords(telling.words).sides[u.side]}`,
        )
      }}
    </p>
    <JudgementTable
      v-if="state.latest.judgement && after"
      :judgement="state.latest.judgement"
      :after="after"
      :source="source"
      :target="job.coupled?.coldTarget"
    />
    <el-button
      v-if="last && !locked && !form.correcting"
      link
      class="text-button"
      @click="correct(last.entry)"
      >{{ w.view.correctLast }}</el-button
    >
    <el-button
      v-if="hasDriven && !withDriven && !locked"
      link
      class="text-button"
      @click="form.driven = true"
      >{{ w.view.drivenToo(machineNames(state).stationary) }}</el-button
    >
    <el-button v-if="form.correcting" link class="text-button" @click="clear()">{{
      actions.leaveAsItWas
    }}</el-button>
    <ol class="order">
      <li v-for="rule in [...w.view.order, p.tighten.caution]" :key="rule">{{ rule }}</li>
    </ol>
    <WhyDialog
      v-model="asking"
      :title="w.view.correctLast"
      :question="actions.whatWasWrong"
      :action="actions.logCorrection"
      @say="log($event)"
    />
    <template #next>
      <el-button v-if="waiting" class="next-button" @click="goOn()">{{ w.view.goMeasure }}</el-button>
      <el-button
        v-else-if="pushing && push.typed.value"
        class="next-button"
        :disabled="!push.read.value.payload"
        @click="push.log()"
        >{{ push.when.value === 'tightened' ? p.log.tightened : p.log.counts }}</el-button
      >
      <template v-else>
        <div v-if="liveCounts" id="live-next" />
        <el-button
          :class="liveCounts ? 'text-button' : 'next-button'"
          :link="liveCounts"
          :disabled="!read.payload || locked"
          @click="log()"
        >
          {{ form.correcting ? actions.logCorrection : w.view.log }}
        </el-button>
      </template>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 16px;
  margin-top: 10px;
}
.want {
  color: var(--brass-on-dye);
  font-weight: 600;
  min-height: 22px;
}
.remark {
  grid-column: 1 / -1;
  display: flex;
  gap: 12px;
  align-items: center;
  color: var(--scribe-dim);
}
.steps {
  display: flex;
  margin-bottom: 8px;
}
.steps :deep(.el-radio-button) {
  flex: 1 1 0;
}
.steps :deep(.el-radio-button__inner) {
  width: 100%;
  height: 100%;
  white-space: normal;
  line-height: 1.3;
}
.question {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
.order {
  margin: 14px 0 0;
  padding-left: 20px;
  color: var(--muted);
}
.order li + li {
  margin-top: 4px;
}
</style>
