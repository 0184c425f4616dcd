<script setup lang="ts">
import { machineNames } from '~~/shared/wording/machineNames'
import { actionsWords, directionsWords, plansWords } from '~~/shared/wording/en'
import { PLANES } from '~~/core/frame/planes'
import { pricesOf } from '~~/core/plan/price'
import { halfWidthAt } from '~~/core/stages/plan/odds'
import { isBelieved } from '~~/core/stages/measure/measurement'
import { fittingExaggeration, PLAN_VIEW } from '~~/shared/drawing/shaftLines'
import { boltRoom } from '~~/shared/stages/plan/room'
import { pickList, plannedPacks } from '~~/shared/stages/plan/packs'
import { shimWords, sideWords } from '~~/shared/wording/directions'
import { oddsSource, priceWords } from '~~/shared/wording/planOdds'
import { capital } from '~~/shared/wording/capital'
import { pairName, farEnd } from '~~/shared/wording/telling'
import { blockedWords, meaningOfPlan } from '~~/shared/wording/plans'
import { limitSource } from '~~/shared/wording/tolerances'
import type { WorkingStep } from '~~/shared/working/step'
import { ahead, loadedAhead } from '../ahead'
import PickList from './PickList.vue'
import PlanWays from './PlanWays.vue'

const PackBoard = loadedAhead(() => import('~/boards/PackBoard.vue'))
const loadGraphPaper = ahead(() => import('~~/shared/drawing/graphPaper'))
const loadWorking = ahead(() => import('~~/shared/stages/plan/working'))

const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const plan = usePlanChoice()
const { result, choice, predicted, judgement } = plan

const w = computed(() => plansWords(telling.value.words))
const actions = computed(() => actionsWords(telling.value.words))
const state = computed(() => job.coupled!)
const found = computed(() => plan.input.value?.coupling ?? null)
const closed = computed(() => state.value.closing !== null)
const now = computed(() => state.value.latest.judgement)
const moves = computed(() => plan.hasShims.value || plan.hasSide.value)
const stale = computed(() => state.value.plan?.stale === true && choice.value?.option !== 'own')
const { search } = plan
/** Nothing is in hand yet, and the plans are still being worked out. */
const waiting = computed(
  () => search.state.value === 'working' && choice.value === null && found.value !== null,
)
const meaning = computed(() =>
  waiting.value
    ? { mark: 'todo' as const, headline: w.value.view.searching, detail: '' }
    : meaningOfPlan(
        {
          now: now.value,
          after: judgement.value,
          moves: moves.value,
          stale: stale.value,
          far: farEnd(state.value.feet.movable, telling.value),
          advice: plan.advice.value,
        },
        telling.value,
      ),
)
const notAgreed = computed(() => !isBelieved(state.value.latest) && found.value !== null)
const source = computed(() => limitSource(state.value, telling.value))
const working = async (): Promise<readonly WorkingStep[]> => {
  const [from, to, moves, told] = [found.value, predicted.value, plan.packedMoves.value, telling.value]
  return from && to ? (await loadWorking()).planWorking(from, to, moves, told) : []
}
/** The driven machine's feet, where it may be moved. */
const driven = computed(() => (plan.which.value === 'movable' ? undefined : state.value.feet.stationary))
const exaggeration = computed(() =>
  found.value && plan.ownAxes.value
    ? fittingExaggeration({
        lines: [found.value, plan.ownAxes.value.movable],
        planes: PLANES,
        feet: state.value.feet.movable,
        ground: plan.ownAxes.value.stationary,
        driven: driven.value,
        tolerance: state.value.tolerance,
        target: state.value.target,
        ...PLAN_VIEW,
      })
    : 1,
)
const names = computed(() => machineNames(state.value))

const whichOptions = computed(() => [
  { value: 'movable' as const, name: names.value.movable },
  { value: 'stationary' as const, name: names.value.stationary },
  { value: 'both' as const, name: w.value.which.both },
])
/** Feet of the motor where the driven machine alone is moved. */
const still = computed(() => (plan.which.value === 'stationary' ? state.value.feet.movable : []))
const shows = ref<'shafts' | 'packs'>('shafts')
const packs = computed(() =>
  plan.input.value && plan.drawnPacks.value
    ? plannedPacks(plan.input.value.feet, plan.drawnPacks.value)
    : null,
)
const picked = computed(() => (plan.drawnPacks.value ? pickList(plan.drawnPacks.value) : []))
/** The graph that people draw by hand, of the plan that is drawn, on a sheet of its own to print. */
const openGraph = async () => {
  const { graphPaper } = await loadGraphPaper()
  const [drawn, axes] = [plan.drawn.value, plan.axes.value]
  if (!found.value || !drawn || !axes) return
  const g = w.value.graph
  const svg = graphPaper({
    title: g.title(job.machine?.tag ?? '', job.machine?.name ?? ''),
    units: session.units,
    feet: [...drawn.feet, ...still.value.map((f) => ({ ...f, machine: 'movable' as const, v: 0, h: 0 }))].map(
      (f) => ({ ...f, name: pairName(telling.value, f) }),
    ),
    found: found.value,
    target: state.value.target,
    predicted: axes.movable,
    ground: driven.value && axes.stationary,
    words: {
      ...g,
      views: directionsWords(telling.value.words).views,
      move: (f, plane) => (plane === 'v' ? shimWords(f.v, telling.value) : sideWords(f.h, telling.value)),
    },
  })
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }))
  window.open(url, '_blank', 'noopener')
  setTimeout(() => URL.revokeObjectURL(url), 60_000)
}
const takeIt = () => {
  const changes = plan.changes(session.units)
  const { value: c } = choice
  if (!changes || !c || c.option === 'nothing' || closed.value || !moves.value) return
  const sets = [...state.value.latest.used]
  const { option } = c
  if (job.log({ kind: 'plan-chosen', payload: { units: session.units, option, ...changes, sets } })) goOn()
}
const skipping = ref(false)
const skip = (why: string) => {
  if (job.log({ kind: 'stage-skipped', payload: { stage: 'plan', why } })) goOn()
}
const takeWords = computed(() => (plan.hasShims.value ? w.value.view.takeShims : w.value.view.takeSides))
</script>

<template>
  <BoardFrame v-if="found && predicted && choice" :title="w.view.title" bare>
    <div class="tools">
      <ChoiceRow
        v-model="shows"
        :label="w.packs.shown"
        on-dye
        :options="[
          { value: 'shafts', name: w.packs.shafts },
          { value: 'packs', name: w.packs.packs },
        ]"
      />
      <ChoiceRow
        v-if="plan.mayMoveDriven.value"
        :model-value="plan.which.value"
        :label="w.which.ask"
        on-dye
        :disabled="closed"
        :options="whichOptions"
        @update:model-value="plan.askWhich($event)"
      />
      <el-button link class="text-button on-dye" @click="openGraph">{{ w.graph.open }}</el-button>
    </div>
    <template v-if="shows === 'packs'">
      <PackBoard
        v-if="packs"
        :packs="packs"
        :foot-name="(pair) => capital(pairName(telling, pair))"
        :movable-name="names.movable"
        :far-name="farEnd(state.feet.movable, telling)"
        :units="session.units"
      />
      <p v-else class="empty">{{ w.packs.cannot }}</p>
      <p class="hint">{{ w.packs.order }}</p>
    </template>
    <template v-else>
      <ShaftView
        v-for="plane in PLANES"
        :key="plane"
        :plane="plane"
        :tolerance="state.tolerance"
        :target="state.target"
        :found="found"
        :axes="plan.axes.value!"
        :doubt="plan.doubt.value ? (x) => halfWidthAt(plan.doubt.value!, plane, x) : undefined"
        :feet="(plan.drawn.value ?? choice).feet"
        :still="still"
        :stationary-name="job.machine?.stationaryName ?? ''"
        :exaggeration="exaggeration"
        :step="plan.step"
        :nearest="plan.nearest"
        :locked="closed"
        :telling="telling"
        @move="plan.move"
      />
      <BoltRoom
        v-if="plan.input.value"
        :feet="boltRoom(plan.input.value, (plan.drawn.value ?? choice).feet)"
        :telling="telling"
      />
      <p class="hint">{{ w.view.drag }}</p>
    </template>
  </BoardFrame>
  <BoardFrame v-else :title="w.view.title">
    <p class="empty">{{ waiting ? w.view.searching : w.view.waits }}</p>
  </BoardFrame>
  <LedgerFrame desk-work :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-if="notAgreed" class="muted">{{ w.view.notRepeated }}</p>
    <JudgementTable
      v-if="now"
      :judgement="now"
      :after="judgement"
      :source="source"
      :target="state.coldTarget"
    />
    <div v-if="search.state.value !== 'idle'" class="search" role="status">
      <template v-if="search.state.value === 'working'">
        <p v-if="search.long.value && search.looked.value > 0" class="muted">
          {{ w.view.looked(search.looked.value) }}
        </p>
        <el-button v-if="search.long.value" class="quiet-button" @click="search.stop()">{{
          w.view.stopSearch
        }}</el-button>
      </template>
      <template v-else>
        <p class="muted">{{ search.state.value === 'stopped' ? w.view.stopped : w.view.searchFailed }}</p>
        <el-button class="quiet-button" @click="search.again()">{{ w.view.searchAgain }}</el-button>
      </template>
    </div>
    <PlanWays v-if="result && choice" :plan="plan" :now="now" />
    <PickList :picked="picked" />
    <ul v-if="result && !result.feasible && result.blocked.length" class="blocked">
      <li v-for="b in result.blocked" :key="`${b.machine}${b.id}${b.plane}`">
        {{ blockedWords(b, telling) }}
      </li>
      <li v-for="p in pricesOf(result.blocked)" :key="`${p.machine}${p.plane}`">
        {{ priceWords(p, names, telling) }}
      </li>
    </ul>
    <el-button
      v-if="result && !result.feasible && plan.mayMoveDriven.value && plan.which.value !== 'both' && !closed"
      class="quiet-button"
      @click="plan.askWhich('both')"
      >{{ w.which.withBoth(names[plan.which.value === 'movable' ? 'stationary' : 'movable']) }}</el-button
    >
    <p v-if="result && plan.doubt.value" class="muted source">
      {{ oddsSource(plan.doubt.value, session.works?.pace ?? null, telling) }}
    </p>
    <ShowWorking v-if="found && predicted" :steps="working" />
    <WhyDialog
      v-model="skipping"
      :title="w.view.withoutPlan"
      :question="actions.why"
      :action="w.view.passOver"
      @say="skip"
    />
    <template #next>
      <el-button v-if="found && !closed && moves" link class="text-button" @click="skipping = true">
        {{ w.view.withoutThisPlan }}
      </el-button>
      <template v-if="waiting" />
      <el-button v-else-if="!moves || closed" class="next-button" @click="goOn()">
        {{ now?.verdict === 'in' && !closed ? w.view.nothingToMove : actions.goOn }}
      </el-button>
      <el-button v-else class="next-button" @click="takeIt">{{ takeWords }}</el-button>
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
.source {
  font-size: 13px;
}
.tools {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin-bottom: 6px;
}
.on-dye {
  color: var(--scribe);
}
.blocked {
  margin: 0;
  padding-left: 18px;
}
</style>
