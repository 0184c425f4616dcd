<script setup lang="ts">
import { actionsWords, drumWords, plansWords } from '~~/shared/wording/en'
import { judgedQuantities } from '~~/core/judge/quantities'
import { isBelieved } from '~~/core/stages/measure/measurement'
import type { Band } from '~~/core/judge/tolerance'
import type { Plane } from '~~/core/frame/planes'
import { pickList } from '~~/shared/stages/plan/packs'
import { checksAsRead, shownAt, type TramDial } from '~~/shared/stages/tram/asRead'
import { offsetWords } from '~~/shared/wording/directions'
import {
  drumLimitSource,
  endsWords,
  leversWords,
  meaningOfTram,
  pushLines,
  shimLines,
} from '~~/shared/wording/drum'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'
import { capital, pairName } from '~~/shared/wording/telling'
import { toCore } from '~~/core/units/unitSystem'
import { ahead } from '../ahead'
import PickList from '../plan/PickList.vue'
import TramReadings from './TramReadings.vue'
import TramTable from './TramTable.vue'

const loadWorking = ahead(() => import('~~/shared/stages/tram/working'))

/** Side, height, side again: what the step in turn asks for, against its one-sided window, and where it ends. */
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const { state, plan, plane, trial, move, does, predicted, after, searching } = useTramPlan()

const w = computed(() => drumWords(telling.value.words))
const actions = computed(() => actionsWords(telling.value.words))
const closed = computed(() => state.value.closing !== null)
const line = computed(() => state.value.latest.coupling)
const shown = computed((): Plane => plane.value ?? 'v')
const meaning = computed(() => meaningOfTram(state.value, telling.value))
const source = computed(() => drumLimitSource(state.value, telling.value, job.machine?.tag))
const pairs = computed(() => state.value.machine.feet.movable)
/** Over which the face dial tells its opening. */
const circle = computed(() => {
  const how = state.value.setUp?.how
  return how?.method === 'rim-face' ? how.given.faces[0].diameter : 0
})
const terms = computed(() => judgedQuantities(state.value.tolerance).flatMap((q) => q.terms))
const bandOf = (kind: 'displacement' | 'slope', p: Plane): Band => {
  const band = terms.value.find((t) => t.plane === p && t.kind === kind)?.band ?? [null, null]
  return kind === 'displacement' ? band : [scaled(band[0]), scaled(band[1])]
}
const scaled = (slope: number | null) => (slope === null ? null : slope * circle.value)
const verdictOf = (name: string) =>
  state.value.latest.judgement?.quantities.find((q) => q.name === name || q.name === name.split('.')[0])
    ?.verdict ?? 'unknown'
const offsetAt = (p: Plane) => line.value?.offset[p] ?? null
const faceAt = (p: Plane) => scaled(line.value?.slope[p] ?? null)
const afterIn = (p: Plane, what: 'offset' | 'slope') => {
  if (!predicted.value || p !== plane.value) return null
  const value = predicted.value[what][p]
  return what === 'slope' ? scaled(value) : value
}
const openWords = (p: Plane) => {
  const value = faceAt(p)
  return value === null ? w.value.nobodyRead : figure(value, 'displacement', session.units, { sign: true })
}
const lineIn = (l: typeof line.value) => {
  const [offset, slope] = [l?.offset[shown.value] ?? null, l?.slope[shown.value] ?? null]
  return offset === null || slope === null ? null : { offset, slope }
}
const notes = computed(() =>
  pairs.value.map(({ id }) => {
    const done = move.value
    if (!done || !does.value) return ''
    const mm = (t: number) => toCore(t, 'displacement', done.units)
    const by =
      plane.value === 'v'
        ? done.changes
            .filter((c) => c.pair === id && c.side === 'left')
            .reduce(
              (s, c) =>
                s + c.putIn.reduce((a, t) => a + mm(t), 0) - c.takenOut.reduce((a, t) => a + mm(t), 0),
              0,
            )
        : done.side.filter((x) => x.pair === id).reduce((s, x) => s + mm(x.moved), 0)
    return figure(by, 'displacement', session.units, { sign: by !== 0 })
  }),
)
const boxOf = (dial: TramDial, clock: number) => {
  const mm = shownAt(state.value.latest, dial, clock)
  return mm === null ? '–' : figure(mm, 'displacement', session.units, { sign: mm !== 0 })
}
const clocks = computed(() => {
  const read = state.value.latest.sets.at(-1)?.set.read.rim ?? []
  return [90, 0, 270, 180].filter((c) => c !== 180 || read.some((r) => r.clock === 180))
})
const checks = computed(() => checksAsRead(state.value.machine, state.value.latest))
const lines = computed(() => {
  const done = move.value
  if (!done || !does.value) return []
  return plane.value === 'v'
    ? shimLines(done.changes, done.units, pairs.value, telling.value)
    : pushLines(done.side, done.units, pairs.value, telling.value)
})
const ways = computed(() =>
  plane.value === 'v' && !searching.value
    ? (plan.result.value?.plans ?? []).map((p) => ({
        value: p.kind as string,
        name: plansWords(telling.value.words).names[p.kind],
      }))
    : [],
)
/** What comes from the shelf, which of it is peeled by the layer, and what goes back. */
const picked = computed(() => (plan.drawnPacks.value ? pickList(plan.drawnPacks.value) : []))
const takeWay = (kind: string) => {
  const found = plan.result.value?.plans.find((p) => p.kind === kind)
  if (found) plan.take(found)
}
const notAgreed = computed(() => !isBelieved(state.value.latest) && line.value !== null)
const take = () => {
  if (!move.value || closed.value || !does.value) return
  const { units, changes, side } = move.value
  const payload = {
    units,
    option: plan.choice.value?.option ?? ('own' as const),
    changes,
    side,
    sets: [...state.value.latest.used],
  }
  const option = payload.option === 'nothing' ? ('own' as const) : payload.option
  if (job.log({ kind: 'plan-chosen', payload: { ...payload, option } })) goOn()
}
const skipping = ref(false)
const skip = (why: string) => {
  if (job.log({ kind: 'stage-skipped', payload: { stage: 'plan', why } })) goOn()
}
const working = async () => (line.value ? (await loadWorking()).tramWorking(state.value, telling.value) : [])
const d = (mm: number | null) => figure(mm, 'displacement', session.units, { sign: mm !== 0 })
const bandWords = (low: number | null, high: number | null) =>
  low === null ? `≤ ${d(high)}` : high === null ? `≥ ${d(low)}` : `${d(low)} … ${d(high)}`
</script>

<template>
  <BoardFrame :title="w.title(w.steps[state.tram.turn].name)" :note="w.seen">
    <template v-if="line">
      <div class="views">
        <TramClock :clocks="clocks" :zero="90" :name="w.title(w.asRead)">
          <template #box="{ dial, clock }"
            ><output class="shown figure">{{ boxOf(dial, clock) }}</output></template
          >
        </TramClock>
        <TramView
          :plane="shown"
          :now="lineIn(line)"
          :after="predicted ? lineIn(predicted) : null"
          :feet="state.feet.untaped ? [] : state.feet.movable.map((f) => f.x)"
          :foot-names="pairs.map((f) => pairName(telling, f))"
          :notes="notes"
        />
      </div>
      <div class="windows">
        <WindowScale
          upright
          :name="w.height"
          :band="bandOf('displacement', 'v')"
          :now="offsetAt('v')"
          :after="afterIn('v', 'offset')"
          :says="offsetWords(offsetAt('v'), 'v', telling)"
          :verdict="verdictOf('offset.v')"
          :units="session.units"
          :never="{ low: w.neverLow, high: w.neverHigh }"
        />
        <div class="flat">
          <WindowScale
            :name="w.side"
            :band="bandOf('displacement', 'h')"
            :now="offsetAt('h')"
            :after="afterIn('h', 'offset')"
            :says="offsetWords(offsetAt('h'), 'h', telling)"
            :verdict="verdictOf('offset.h')"
            :units="session.units"
          />
          <WindowScale
            v-for="p in ['v', 'h'] as const"
            :key="p"
            :name="w.faceOver(p)"
            :band="bandOf('slope', p)"
            :now="faceAt(p)"
            :after="afterIn(p, 'slope')"
            :says="openWords(p)"
            :verdict="verdictOf(`slope.${p}`)"
            :units="session.units"
          />
        </div>
      </div>
    </template>
    <p v-else class="empty">{{ w.headlines.measure }}</p>
    <TramSteps :tram="state.tram" />
  </BoardFrame>
  <LedgerFrame desk-work :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-if="notAgreed" class="muted">{{ plansWords(telling.words).view.notRepeated }}</p>
    <p v-if="searching" class="muted" role="status">{{ w.plan.searching }}</p>
    <div v-else-if="plane && lines.length" class="do">
      <h3>{{ trial ? w.plan.trialTitle : w.steps[state.tram.turn].name }}</h3>
      <p v-for="l in lines" :key="l">{{ l }}</p>
      <p>{{ endsWords(predicted, plane, pairs, telling) }}</p>
      <ChoiceRow
        v-if="ways.length > 1"
        :model-value="plan.choice.value?.option ?? ''"
        :label="w.plan.ways"
        show-label
        :disabled="closed"
        :options="ways"
        @update:model-value="takeWay"
      />
      <PickList v-if="plane === 'v'" :picked="picked" />
      <p v-if="plane === 'v'" class="muted">{{ w.plan.shiftsSide }}</p>
    </div>
    <p v-else-if="plane && line && !closed" class="muted">{{ w.plan.noLeaves }}</p>
    <TramReadings
      v-if="checks.length"
      :checks="checks"
      :unit="UNIT_NAMES[session.units].displacement"
      :band="bandWords"
      :figure="d"
    />
    <TramTable v-if="state.latest.judgement" :now="state.latest.judgement" :after="after" :source="source" />
    <p v-if="plane" class="muted">{{ capital(leversWords(state, telling)) }}</p>
    <p v-if="plane === 'v' && lines.length" class="caution">{{ w.plan.lifting }}</p>
    <p class="caution">{{ w.plan.hangs }}</p>
    <ShowWorking v-if="line" :steps="working" />
    <WhyDialog
      v-model="skipping"
      :title="w.plan.withoutPlan"
      :question="actions.why"
      :action="plansWords(telling.words).view.passOver"
      @say="skip"
    />
    <template #next>
      <el-button v-if="plane && line && !closed" link class="text-button" @click="skipping = true">{{
        w.plan.withoutPlan
      }}</el-button>
      <el-button v-if="does && !closed" class="next-button" @click="take">{{
        plane === 'v' ? w.plan.takeShims : w.plan.takePush
      }}</el-button>
      <el-button v-else-if="!searching" class="next-button" @click="goOn()">{{
        state.tram.turn === 'drum-runout' && !closed ? w.plan.goToDrum : actions.goOn
      }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.views {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 10px 22px;
  align-items: center;
}
.shown {
  display: block;
  padding: 5px 4px;
  border: 1px solid var(--scribe);
  border-radius: 4px;
  background: var(--dye-deep);
  font-size: 19px;
  color: #fff;
}
.windows {
  display: grid;
  grid-template-columns: minmax(0, 0.9fr) minmax(0, 2fr);
  gap: 8px 26px;
  border-top: 1px solid var(--dye-line);
  padding-top: 10px;
}
.flat {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px 22px;
  align-content: start;
}
.empty {
  margin: auto;
  color: var(--scribe-dim);
}
.do > * + * {
  margin-top: 6px;
}
h3 {
  font-size: 16px;
  margin-bottom: 4px;
}
@media (max-width: 640px) {
  .views,
  .windows {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
