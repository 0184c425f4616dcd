<script setup lang="ts">
import { actionsWords, drumWords, plansWords } from '~~/shared/wording/en'
import { isBelieved } from '~~/core/stages/measure/measurement'
import type { Plane } from '~~/core/frame/planes'
import { pickList } from '~~/shared/stages/plan/packs'
import { checksAsRead, shownAt, type TramDial } from '~~/shared/stages/tram/asRead'
import { doneAt, planeOf, tramScales, type TramScale } from '~~/shared/stages/tram/drawing'
import { offsetWords } from '~~/shared/wording/directions'
import {
  drumLimitSource,
  endsWords,
  leversWords,
  meaningOfTram,
  pushLines,
  shimLines,
} from '~~/shared/wording/drum'
import { figure } from '~~/shared/wording/figures'
import { capital } from '~~/shared/wording/capital'
import { pairName } from '~~/shared/wording/telling'
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
const scales = computed(() => tramScales(state.value, predicted.value, plane.value))
const scaleOf = (kind: 'offset' | 'face', p: Plane) =>
  scales.value.find((x) => x.kind === kind && x.plane === p) ?? null
/** Height stands upright by itself; side and both openings of the face lie beside it. */
const height = computed(() => scaleOf('offset', 'v'))
const flat = computed(() =>
  [scaleOf('offset', 'h'), scaleOf('face', 'v'), scaleOf('face', 'h')].flatMap((x) => (x ? [x] : [])),
)
const says = ({ kind, plane: p, now: value }: TramScale) => {
  if (value === null) return w.value.nobodyRead
  return kind === 'offset' ? offsetWords(value, p, telling.value) : d(value)
}
const notes = computed(() =>
  move.value && does.value ? doneAt(move.value, pairs.value).map((by) => d(by)) : [],
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
          :now="planeOf(line, shown)"
          :after="planeOf(predicted, shown)"
          :feet="state.feet.untaped ? [] : state.feet.movable.map((f) => f.x)"
          :foot-names="pairs.map((f) => pairName(telling, f))"
          :notes="notes"
        />
      </div>
      <div class="windows">
        <WindowScale
          v-if="height"
          upright
          :name="w.height"
          v-bind="height"
          :says="says(height)"
          :units="session.units"
          :never="{ low: w.neverLow, high: w.neverHigh }"
        />
        <div class="flat">
          <WindowScale
            v-for="x in flat"
            :key="x.kind + x.plane"
            :name="x.kind === 'offset' ? w.side : w.faceOver(x.plane)"
            v-bind="x"
            :says="says(x)"
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
    <TramReadings v-if="checks.length" :checks="checks" />
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
