<script setup lang="ts">
import { actionsWords, trainWords } from '~~/shared/wording/en'
import type { Plane } from '~~/core/frame/planes'
import { chosenTrainPlan, movedMachines, trainInputFor, worstShare } from '~~/core/stages/trainPlan/planning'
import type { TrainPlan } from '~~/core/train/trainPlan'
import { bothViews } from '~~/shared/drawing/trainView'
import { endsAs, keyOfPlan, planInHand } from '~~/shared/stages/trainPlan/choice'
import { drawnTrain, stillOf, takenMoves, trainFigures } from '~~/shared/stages/trainPlan/drawing'
import { couplingsTold, doneTold, halfGate } from '~~/shared/stages/trainPlan/told'
import { hourName } from '~~/shared/wording/directions'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'
import { limitWords } from '~~/shared/wording/quantities'
import {
  figureName,
  figureWords,
  leftOut,
  machinesNamed,
  meaningOfTrainPlan,
  shareWords,
  whyItStays,
  worstAngle,
} from '~~/shared/wording/train'
import { pickList } from '~~/shared/stages/plan/packs'
import PickList from '../plan/PickList.vue'
import { ahead, loadedAhead } from '../ahead'

const loadWorking = ahead(() => import('~~/shared/stages/trainPlan/working'))
const HoldDialog = loadedAhead(() => import('./HoldDialog.vue'))

/** One plan over the whole line: what is moved, what is left alone and why, and what every coupling comes to. */
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => trainWords(telling.value.words).plan)
const state = computed(() => job.train!)
const closed = computed(() => state.value.closing !== null)
const input = computed(() => trainInputFor(state.value))
/** A plan under way is carried out to its end: nothing is searched meanwhile. */
const underWay = computed(
  () => state.value.plan !== null && !state.value.plan.stale && state.value.plan.moved.length > 0,
)
const search = useTrainPlans(() => (underWay.value ? null : input.value))
const way = ref('')
const inBand = computed(() => state.value.couplings.every((c) => c.state.latest.judgement?.verdict === 'in'))
const plan = computed(() =>
  planInHand(search.plans.value, { picked: way.value, taken: state.value.plan, inBand: inBand.value }),
)
const moves = computed(() =>
  plan.value ? plan.value.moves : input.value && state.value.plan ? takenMoves(state.value, input.value) : [],
)
const figures = computed(() =>
  input.value
    ? trainFigures(input.value.train, plan.value ?? (underWay.value ? state.value.plan : null))
    : [],
)
const offsets = computed(() => figures.value.filter((f) => f.kind === 'offset'))
const meaning = computed(() =>
  meaningOfTrainPlan(
    state.value,
    {
      plan: plan.value,
      figures: figures.value,
      searching: search.state.value === 'working',
      failed: search.state.value === 'failed',
    },
    telling.value,
  ),
)
const drawn = computed(() =>
  input.value ? drawnTrain(input.value, moves.value, stillOf(state.value.machines.map((m) => m.held))) : null,
)
const views = computed(() => (drawn.value ? bothViews(drawn.value) : []))
const d = (mm: number | null, sign = false) => figure(mm, 'displacement', session.units, { sign })
const moved = computed(() => (plan.value ? movedMachines(plan.value) : []))
const leavesOf = (id: string) =>
  (plan.value?.moves ?? [])
    .filter((m) => m.machine === id)
    .reduce((n, m) => n + m.packs.left.changes + m.packs.right.changes, 0)
const noteOf = (m: (typeof state.value.machines)[number]) => {
  if (m.held.held) return m.held.why ? w.value.heldWhy(m.held.why) : w.value.held[m.held.by ?? 'register']
  // Nothing is said of who stays while nobody knows yet who moves.
  if (moved.value.length === 0) return ''
  if (!moved.value.includes(m.part.id)) return w.value.leftAlone
  const leaves = leavesOf(m.part.id)
  return leaves > 0 ? w.value.movesShims(leaves) : w.value.pushedOnly
}
/** `2 in, 1 out`: leaves under the left foot of a pair; the right one wants the same. */
const leafWords = (machine: string, id: string) => {
  const packs = plan.value?.moves.find((m) => m.machine === machine && m.id === id)?.packs.left
  return packs
    ? [
        packs.putIn.length > 0 ? w.value.goesIn(packs.putIn.length) : '',
        packs.takeOut.length > 0 ? w.value.comesOut(packs.takeOut.length) : '',
      ]
        .filter(Boolean)
        .join(', ')
    : ''
}
const machinesTold = (plane: Plane) =>
  state.value.machines.map((m) => ({
    id: m.part.id,
    name: m.part.name,
    note: plane === 'v' ? noteOf(m) : '',
    held: m.held.held,
    moves: moved.value.includes(m.part.id),
    done: doneTold(moves.value, m.part.id, plane, telling.value, (pair) => leafWords(m.part.id, pair)),
  }))
const outNow = computed(() => figures.value.filter((f) => f.nowVerdict === 'out').length)
const alone = computed(() =>
  state.value.machines.filter(
    (m) => !m.held.held && plan.value && moved.value.length > 0 && !moved.value.includes(m.part.id),
  ),
)
/** Each coupling in one line: its speed and limit, how it was found and how it ends. */
const couplingLines = computed(() =>
  state.value.couplings.map(({ part, state: own }) => {
    const of = offsets.value.filter((f) => f.coupling === part.id)
    const said = (which: 'now' | 'after') => of.map((f) => figureWords(f, f[which], telling.value)).join(', ')
    const half = drawn.value ? halfGate(drawn.value, part.id, 'v') : null
    return {
      name: part.name,
      words: [
        w.value.rpm(
          String(Math.round(own.rpm)),
          half === null ? '' : figure(half, 'displacement', session.units, { unit: true }),
        ),
        w.value.found(said('now')),
        ...(moved.value.length > 0 ? [w.value.ends(said('after'))] : []),
      ].join('; '),
    }
  }),
)
const nameOfPlan = (p: TrainPlan) =>
  p.only
    ? w.value.only(state.value.machines.find((m) => m.part.id === p.only)?.part.name ?? '')
    : w.value.names[p.kind]
/** `0.50 / 0.35`: the lifts of each machine that a plan moves, from the first pair on. */
const liftsOf = (p: TrainPlan) =>
  movedMachines(p)
    .map((id) =>
      p.moves
        .filter((m) => m.machine === id)
        .map((m) => d(m.v, true))
        .join(' / '),
    )
    .join(', ')
const ways = computed(() =>
  search.plans.value.map((p) => {
    const own = input.value ? trainFigures(input.value.train, p) : []
    return {
      key: keyOfPlan(p),
      plan: p,
      name: nameOfPlan(p),
      lifts: liftsOf(p),
      handles: w.value.handles(machinesNamed(movedMachines(p), state.value, telling.value), p.shimsHandled),
      share: Math.min(1, worstShare(p)),
      shareWords: shareWords(p, telling.value),
      verdict: endsAs(own),
      cost: leftOut(own, state.value, telling.value),
    }
  }),
)
const take = () => {
  if (!plan.value || closed.value || moved.value.length === 0) return
  const payload = chosenTrainPlan(plan.value, state.value, session.units)
  if (job.log({ kind: 'train-plan-chosen', payload })) goOn()
}
/** What comes from the shelf for the plan in hand, and what goes back. */
const picked = computed(() => pickList(plan.value?.moves ?? []))
const holding = ref(false)
const skipping = ref(false)
const skip = (why: string) => {
  if (job.log({ kind: 'stage-skipped', payload: { stage: 'train-plan', why } })) goOn()
}
const working = async () =>
  input.value && plan.value
    ? (await loadWorking()).trainWorking(state.value, input.value.train, plan.value, telling.value)
    : []
const takeWords = computed(() => {
  const names = machinesNamed(moved.value, state.value, telling.value)
  return plan.value && plan.value.shimsHandled > 0 ? w.value.take(names) : w.value.takePush(names)
})
/** What the view is drawn by. */
const drawnBy = (plane: Plane, times: string) =>
  plane === 'v' ? w.value.drawnBy(times) : w.value.upIs(hourName(90, telling.value), times)
const first = computed(() => (state.value.machine.machines[0]?.name ?? '').toLowerCase())
</script>

<template>
  <BoardFrame :title="w.title" bare>
    <template v-if="drawn">
      <TrainView
        v-for="v in views"
        :key="v.plane"
        :view="v.view"
        :title="w.views[v.plane]"
        :note="drawnBy(v.plane, v.times)"
        :machines="machinesTold(v.plane)"
        :couplings="couplingsTold(figures, drawn, v.plane, telling)"
      />
      <dl class="couplings">
        <template v-for="c in couplingLines" :key="c.name">
          <dt>{{ c.name }}</dt>
          <dd>{{ c.words }}</dd>
        </template>
        <template v-for="m in alone" :key="m.part.id">
          <dt>{{ m.part.name }}</dt>
          <dd>{{ whyItStays(state, plan!, m.part.id, telling) }}</dd>
        </template>
      </dl>
    </template>
    <p v-else class="empty">{{ w.waits }}</p>
  </BoardFrame>
  <LedgerFrame desk-work :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <template v-if="figures.length">
      <p class="muted">
        {{ w.countOut(outNow, figures.length, state.rounds > 0 ? w.asMeasured : w.asFound) }}
      </p>
      <FigureTable
        :head="[
          w.table.offset(UNIT_NAMES[session.units].displacement),
          w.table.now,
          w.table.after,
          w.table.limit,
        ]"
      >
        <tr v-for="f in offsets" :key="`${f.coupling}${f.plane}`">
          <td>{{ figureName(f, state, telling) }}</td>
          <td class="figure" :class="f.nowVerdict">
            <b>{{ d(f.now, true) }}</b>
          </td>
          <td class="figure" :class="f.afterVerdict">
            <b>{{ d(f.after, true) }}</b>
          </td>
          <td class="figure">{{ f.judged ? limitWords(f.judged, telling) : '' }}</td>
        </tr>
      </FigureTable>
      <p class="muted">{{ worstAngle(figures, state, telling) }} {{ w.frame(first) }}</p>
    </template>
    <div v-if="search.state.value === 'failed'">
      <el-button class="quiet-button" @click="search.again()">{{ w.again }}</el-button>
    </div>
    <div v-if="ways.length" class="ways">
      <h3>
        {{ w.ways }} <span class="muted">{{ w.waysNote }}</span>
      </h3>
      <el-button
        v-for="p in ways"
        :key="p.key"
        class="way"
        :class="{ on: plan !== null && keyOfPlan(plan) === p.key }"
        :aria-pressed="plan !== null && keyOfPlan(plan) === p.key"
        :disabled="closed"
        @click="way = p.key"
      >
        <span class="name">{{ p.name }}</span>
        <span class="figure">{{ p.lifts }}</span>
        <span class="muted">{{ p.handles }}</span>
        <span class="bar" aria-hidden="true"
          ><i :style="{ width: `${p.share * 100}%` }" :class="p.verdict"
        /></span>
        <span class="muted verdict"><VerdictMark :mark="p.verdict" /> {{ p.shareWords }}</span>
        <span v-if="p.cost" class="muted cost">{{ w.cost(p.cost) }}</span>
      </el-button>
    </div>
    <PickList :picked="picked" />
    <p class="muted">{{ w.caution }}</p>
    <el-button v-if="!closed && !underWay" link class="text-button" @click="holding = true">{{
      w.free
    }}</el-button>
    <ShowWorking v-if="plan" :steps="working" />
    <HoldDialog v-if="holding" v-model="holding" />
    <WhyDialog
      v-model="skipping"
      :title="w.title"
      :question="actionsWords(telling.words).why"
      :action="actionsWords(telling.words).logIt"
      @say="skip"
    />
    <template #next>
      <el-button
        v-if="!closed && !underWay && moved.length > 0"
        link
        class="text-button"
        @click="skipping = true"
        >{{ w.without }}</el-button
      >
      <template v-if="search.state.value === 'working'" />
      <el-button v-else-if="closed || underWay || moved.length === 0" class="next-button" @click="goOn()">{{
        actionsWords(telling.words).goOn
      }}</el-button>
      <el-button v-else class="next-button" @click="take">{{ takeWords }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.empty {
  margin: auto;
  color: var(--scribe-dim);
  max-width: 46ch;
}
.couplings {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 4px 14px;
  margin: 8px 0 0;
  border-top: 1px solid #3d4690;
  padding-top: 8px;
  font-size: 14px;
}
.couplings dt {
  color: var(--scribe-dim);
}
.couplings dd {
  margin: 0;
  color: var(--scribe);
}
h3 {
  font-size: 16px;
  margin-bottom: 6px;
}
h3 .muted {
  font-weight: 400;
  font-size: 13px;
}
.out {
  color: var(--out);
}
.edge {
  color: var(--edge);
}
.way.el-button {
  width: 100%;
  height: auto;
  min-height: 56px;
  margin: 0 0 7px;
  padding: 6px 12px;
  border-color: var(--hairline);
  color: var(--ink);
  white-space: normal;
}
.way.on.el-button {
  border: 2px solid var(--ink);
  padding: 5px 11px;
}
.way :deep(> span) {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: 3px 8px;
  width: 100%;
  text-align: left;
}
.way .muted {
  font-size: 14px;
}
.name {
  font-weight: 700;
}
.way .figure {
  font-size: 14px;
  flex: 1 1 auto;
  text-align: right;
}
.bar {
  flex-basis: 100%;
  height: 5px;
  background: var(--page);
}
.bar i {
  display: block;
  height: 100%;
  background: var(--ink);
}
.verdict {
  white-space: nowrap;
}
.verdict svg {
  vertical-align: -3px;
}
.cost {
  flex-basis: 100%;
}
</style>
