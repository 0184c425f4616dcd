<script setup lang="ts">
import { openAt } from '~~/shared/wording/directions'
import { movableName } from '~~/shared/wording/machineNames'
import { actionsWords, roughInWords, verdictsWords } from '~~/shared/wording/en'
import type { Plane } from '~~/core/frame/planes'
import type { RoughInEntries } from '~~/core/stages/roughIn/entries'
import { roughedBy } from '~~/core/stages/roughIn/cure'
import {
  axialScale,
  drawHubs,
  horizontalWaits,
  placesOf,
  scaleOfHubs,
} from '~~/shared/stages/roughIn/drawing'
import { placeKey, shownPlaces } from '~~/shared/stages/roughIn/form'
import { figure } from '~~/shared/wording/figures'
import { cureWords, dragWords, feltWords, meaningOfRoughIn } from '~~/shared/wording/roughIn'
import { capital } from '~~/shared/wording/capital'
import { farEnd } from '~~/shared/wording/telling'
import RoughConditions from './RoughConditions.vue'
import type { WorkingStep } from '~~/shared/working/step'
import { ahead, loadedAhead } from '../ahead'

const loadWorking = ahead(() => import('~~/shared/stages/roughIn/working'))
const RoughMoved = loadedAhead(() => import('./RoughMoved.vue'))

const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const { form, texts, read, limits, state, showing, live, cure, begin } = useRoughForm()
const ask = useAskOnce(() => read.value.questions)

const w = computed(() => roughInWords(telling.value.words))
const v = computed(() => w.value.view)
const machine = computed(() => state.value.machine)
const closed = computed(() => state.value.closing !== null)
const measured = computed(() => state.value.latest.sets.some((s) => s.leftOut === null))
const movable = computed(() => movableName(state.value))
const stationary = computed(() => (job.machine?.stationaryName ?? '').toLowerCase())
const meaning = computed(() => meaningOfRoughIn(live.value, movable.value, telling.value))
/** What is drawn: what is being typed, else the last look; nothing once it was moved since. */
const reading = computed(() => (live.value.stale ? null : live.value.latest))
const d = (x: number, unit = true) => figure(x, 'displacement', session.units, { unit })
const locked = computed(() => closed.value || showing.value)
const bladeRemark = computed(() => {
  const { faults, notes } = read.value
  return { text: faults.blade ?? notes.blade ?? '', fault: 'blade' in faults }
})
const looks = computed(() => live.value.rounds.filter((r) => r.felt).length + (reading.value ? 0 : 1))

const scale = computed(() => scaleOfHubs(reading.value))
const times = computed(() => (scale.value.times === null ? '' : `${scale.value.times}×`))
const waits = computed(() => horizontalWaits(reading.value))
const view = (plane: Plane) => {
  const r = reading.value
  const [step, opening] = [r?.steps[plane] ?? null, r?.openings[plane] ?? null]
  const mark = step?.verdict
  return {
    plane,
    hubs: drawHubs(step?.value ?? null, opening?.value ?? null, scale.value.perMillimetre),
    found: step && step.verdict !== null ? feltWords(step, 'step', plane, telling.value) : '',
    opens:
      opening && opening.value !== null
        ? Math.abs(opening.value) < 1e-9
          ? v.value.parallel
          : v.value.opensAt(d(Math.abs(opening.value), false), openAt(opening.value, plane, telling.value))
        : '',
    mark: mark === 'in' || mark === 'edge' || mark === 'out' ? mark : null,
  }
}
const views = computed(() => [view('v'), view('h')])
const axial = computed(() => {
  const a = reading.value?.axial
  return a ? { ...a, ...axialScale(a.mean, limits.value.gap) } : null
})
const windowWords = computed(() => {
  const { least, most } = limits.value.gap
  if (least === null && most === null) return ''
  if (least === null || most === null)
    return least === null ? v.value.atMost(d(most ?? 0)) : v.value.atLeast(d(least))
  return v.value.window(d(least, false), d(most, true))
})
const advice = computed(() =>
  cure.value ? cureWords(cure.value, machine.value, stationary.value, telling.value) : null,
)
const axialAdvice = computed(() => {
  const move = reading.value?.next === 'axial' ? (reading.value.axial?.move ?? 0) : 0
  return move === 0
    ? ''
    : w.value.cure.axial[move > 0 ? 'apart' : 'together'](d(Math.abs(move)), stationary.value)
})
const hint = computed(() =>
  reading.value
    ? dragWords(reading.value, farEnd(machine.value.feet.movable, telling.value), telling.value)
    : null,
)
const rowsOf = (p: Plane) => {
  const r = reading.value
  return r
    ? [
        { name: v.value.rim, q: r.steps[p], words: feltWords(r.steps[p], 'step', p, telling.value) },
        {
          name: v.value.face,
          q: r.openings[p],
          words: feltWords(r.openings[p], 'opening', p, telling.value),
        },
      ]
    : []
}
const rows = computed(() => ({ v: rowsOf('v'), h: rowsOf('h') }))

const moved = (payload: RoughInEntries['hubs-roughed']) => {
  if (job.log({ kind: 'hubs-roughed', payload })) begin('empty')
}
const log = () => {
  const { payload } = read.value
  if (closed.value || !payload || !ask.mayGo()) return
  if (job.log({ kind: 'hubs-felt', payload })) begin('shown')
}
const order = computed(() =>
  (['v', 'h'] as const).flatMap((p) =>
    placesOf(p).flatMap((clock) =>
      (['step', 'gap'] as const)
        .filter((felt) => shownPlaces(form.value.four).some((s) => s.felt === felt && s.clock === clock))
        .map((felt) => placeKey(felt, clock)),
    ),
  ),
)
const planes = useTemplateRef<{ focus: (key: string) => void }[]>('planes')
/** Enter goes to the next empty box; the last one logs. */
const enter = (key: string) => {
  const at = order.value.indexOf(key)
  const next = order.value.slice(at + 1).find((k) => (form.value.figures[k] ?? '').trim() === '')
  if (next) planes.value?.forEach((p) => p.focus(next))
  else log()
}
const skipping = ref(false)
const other = ref(false)
const later = useLater(other)
const skip = (why: string) => {
  if (job.log({ kind: 'stage-skipped', payload: { stage: 'rough-in', why } })) goOn()
}
const canMove = computed(() => showing.value && !closed.value && !measured.value)
const working = async (): Promise<readonly WorkingStep[]> => {
  const [m, r, c, to] = [machine.value, reading.value, cure.value, telling.value]
  return r ? (await loadWorking()).roughWorking(m, r, c, to) : []
}
</script>

<template>
  <BoardFrame :title="v.title(looks)" :note="reading && times ? v.side(times) : ''">
    <div class="tools">
      <FeelerWays
        :texts="texts"
        :units="session.units"
        :locked="locked"
        :blade-remark="bladeRemark"
        @how="form.how = $event"
        @blade="form.blade = $event"
        @four="form.four = $event"
      />
      <ChoiceRow
        :model-value="texts.coupled ? 'made' : 'open'"
        :label="v.coupled"
        show-label
        on-dye
        :disabled="locked"
        :options="[
          { value: 'open', name: v.coupledNames.open },
          { value: 'made', name: v.coupledNames.made },
        ]"
        @update:model-value="form.coupled = $event === 'made'"
      />
    </div>
    <section
      v-for="one in views"
      :key="one.plane"
      class="view"
      :class="{ waits: one.plane === 'h' && waits }"
    >
      <h3>{{ one.plane === 'v' ? v.vertical : v.horizontal }}</h3>
      <p v-if="one.plane === 'h'" class="quiet">{{ waits ? v.topWaits : v.top(times) }}</p>
      <HubsPlane
        ref="planes"
        v-bind="one"
        :texts="texts"
        :faults="showing ? {} : read.faults"
        :notes="showing ? {} : read.notes"
        :units="session.units"
        :locked="locked"
        :stationary-name="stationary"
        :movable-name="movable"
        :dim="one.plane === 'h' && waits"
        @figure="(key, text) => (form.figures[key] = text)"
        @went="(key, went) => (form.went[key] = went)"
        @lies="(clock, on) => (form.lies[clock] = on)"
        @enter="enter"
      />
    </section>
    <div class="foot">
      <div class="axial">
        <strong>{{ v.axial }}</strong>
        <template v-if="axial">
          <AxialGap v-bind="axial" :windowed="windowWords !== ''" :label="v.axial" />
          <p>
            <span class="figure">{{ d(axial.mean) }}</span>
            <small v-if="axial.verdict" :class="axial.verdict"
              ><VerdictMark :mark="axial.verdict" on-dye />
              {{ v.axialVerdict(verdictsWords(telling.words)[axial.verdict], windowWords) }}</small
            >
            <small v-else>{{ v.noWindow }}</small>
          </p>
        </template>
        <p v-else class="quiet">{{ windowWords || v.noWindow }}</p>
      </div>
      <RoughConditions
        :texts="texts"
        :faults="showing ? {} : read.faults"
        :notes="showing ? {} : read.notes"
        :limits="limits"
        :stationary="stationary"
        :movable="movable"
        :locked="locked"
        @change="Object.assign(form, $event)"
      />
    </div>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-for="q in ask.shown.value" :key="q" class="question" role="alert">{{ q }}</p>
    <div v-if="advice">
      <h3>{{ capital(advice.headline) }}</h3>
      <p v-for="line in advice.rest" :key="line">{{ line }}</p>
    </div>
    <p v-if="axialAdvice">
      <strong>{{ axialAdvice }}</strong>
    </p>
    <template v-if="reading">
      <FigureTable
        v-for="p in ['v', 'h'] as const"
        :key="p"
        :class="{ muted: p === 'h' && waits }"
        :head="[v.planeFound[p], p === 'h' && waits ? v.firstLook : v.found, '']"
      >
        <tr v-for="row in rows[p]" :key="row.name">
          <td>{{ row.name }}</td>
          <td class="figure">{{ row.words }}</td>
          <td class="verdict">
            <template v-if="p === 'h' && waits">{{ row.q.verdict === null ? '' : v.waits }}</template>
            <template v-else-if="row.q.verdict"
              ><VerdictMark :mark="row.q.verdict" />
              {{ verdictsWords(telling.words)[row.q.verdict] }}</template
            >
          </td>
        </tr>
      </FigureTable>
    </template>
    <div v-if="hint">
      <h3>{{ hint.title }}</h3>
      <p>{{ hint.text }}</p>
    </div>
    <p v-if="measured" class="muted">{{ v.measuredAlready }}</p>
    <p v-if="!closed && cure?.plane === 'v'" class="caution">{{ v.lifting }}</p>
    <el-button v-if="canMove && reading?.next !== 'done'" link class="text-button" @click="other = true">{{
      v.other
    }}</el-button>
    <el-button v-if="!closed && reading?.next !== 'done'" link class="text-button" @click="skipping = true">{{
      v.passOver
    }}</el-button>
    <ShowWorking v-if="reading" :steps="working" />
    <RoughMoved v-if="later" v-model="other" :pairs="machine.feet.movable.map((f) => f.id)" @log="moved" />
    <WhyDialog
      v-model="skipping"
      :title="v.passOver"
      :question="actionsWords(telling.words).why"
      :action="actionsWords(telling.words).passOver"
      @say="skip"
    />
    <template #next>
      <el-button v-if="closed" class="next-button" @click="goOn()">{{
        actionsWords(telling.words).goOn
      }}</el-button>
      <template v-else-if="showing">
        <el-button link class="text-button" @click="begin('last')">{{ v.feelAgain }}</el-button>
        <el-button
          v-if="canMove && cure"
          class="next-button"
          @click="moved(roughedBy(cure, session.units))"
          >{{ cure.plane === 'v' ? v.shimsIn : v.pushedDone }}</el-button
        >
        <el-button v-else-if="reading?.next === 'done'" class="next-button" @click="goOn()">{{
          limits.whole ? v.close : v.goOn
        }}</el-button>
        <el-button v-else class="next-button" @click="begin('last')">{{ v.feelAgain }}</el-button>
      </template>
      <el-button v-else class="next-button" :disabled="!read.payload" @click="log">{{ v.logIt }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.tools,
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: end;
}
.tools {
  margin: 4px 0 6px;
}
.view {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  padding-top: 8px;
  border-top: 1px solid var(--dye-line);
}
.view h3 {
  font-size: 16px;
  color: #fff;
}
.view > :deep(.plane) {
  grid-column: 1 / -1;
}
.waits h3 {
  color: var(--scribe-dim);
}
.quiet {
  color: var(--scribe-dim);
  font-size: 14px;
}
.foot {
  margin-top: 6px;
  padding-top: 8px;
  border-top: 1px solid var(--dye-line);
}
.axial {
  flex: 1 0 100%;
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr) 210px;
  gap: 16px;
  align-items: center;
}
.axial .figure {
  font-size: 20px;
}
.axial small {
  display: block;
  font-size: 13px;
}
.axial small.in {
  color: var(--in-on-dye);
}
.axial small.out {
  color: var(--out-on-dye);
}
.question {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
.verdict {
  white-space: nowrap;
}
@media (max-width: 640px) {
  .view {
    grid-template-columns: minmax(0, 1fr);
  }
  .axial {
    grid-template-columns: 1fr;
    gap: 4px;
  }
}
</style>
