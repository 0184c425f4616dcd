<script setup lang="ts">
import type { Meaning } from '~~/shared/wording/meaning'
import { measurementAt, type MeasuringStage, meaningOfMeasuring } from '~~/shared/wording/measuring'
import { actionsWords, drawingsWords, measuringWords, safetyWords } from '~~/shared/wording/en'
import type { WorkingStep } from '~~/shared/working/step'
import { isBelieved, type NotedSet } from '~~/core/stages/measure/measurement'
import {
  balanceOf,
  circleLabel,
  listSets,
  placeName,
  signsNote,
  usableAnyway,
} from '~~/shared/stages/measure/drawing'
import { besideOf } from '~~/core/jobs/measured'
import { FOUR_QUARTERS, type ReadingBox } from '~~/shared/stages/measure/form'
import { seenClock } from '~~/shared/wording/otherEnd'
import { circleName } from '~~/shared/wording/circles'
import { playWords, setName } from '~~/shared/wording/readings'
import { limitSource } from '~~/shared/wording/tolerances'
import { useKeyEvents } from '~/composables/useKeys'
import { ahead, loadedAhead } from '../ahead'
import type { BoardShape } from './boardShape'
import ReadingBoard from './ReadingBoard.vue'

const QuickEntry = loadedAhead(() => import('./QuickEntry.vue'))
const loadWorking = ahead(() => import('~~/shared/stages/measure/working'))
const AchievedNote = loadedAhead(() => import('~/components/ledger/AchievedNote.vue'))
const ChaseNote = loadedAhead(() => import('~/components/ledger/ChaseNote.vue'))
const OverlaidShafts = loadedAhead(() => import('~/boards/OverlaidShafts.vue'))
const FlangeAchieved = loadedAhead(() => import('~/components/ledger/FlangeAchieved.vue'))
const FlangeStands = loadedAhead(() => import('../flangePlan/FlangeStands.vue'))
const LiveMeasure = defineAsyncComponent(() => import('~/components/instruments/LiveMeasure.vue'))
const JudgementTable = loadedAhead(() => import('~/components/ledger/JudgementTable.vue'))
const SetList = loadedAhead(() => import('~/boards/SetList.vue'))
const SumBalance = loadedAhead(() => import('~/boards/SumBalance.vue'))
const ShowWorking = loadedAhead(() => import('~/components/ledger/ShowWorking.vue'))
const TrustTable = loadedAhead(() => import('~/components/ledger/TrustTable.vue'))
const RoundsNote = loadedAhead(() => import('~/components/ledger/RoundsNote.vue'))

const props = defineProps<{
  stage: MeasuringStage
  /** What the stage says while nothing has been read at it. */
  before?: Meaning
}>()
/** Readings beside the rounds are part of another stage's work, which goes on. */
const emit = defineEmits<{ back: [] }>()
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const { boardOrTable } = useKeyEvents()
const hush = useHush()
const reading = useReadingForm()
const { form, circles, reads, read, tellsAngles } = reading
const ledger = useTemplateRef<{ focusNext: () => void }>('ledger')

const w = computed(() => measuringWords(telling.value.words))
const v = computed(() => w.value.view)
const actions = computed(() => actionsWords(telling.value.words))
const state = computed(() => job.measured!)
const live = computed(() => job.liveMeasured ?? state.value)
const moved = computed(() => state.value.moves.length)
const warm = computed(() => props.stage === 'hot-check')
const beside = computed(() => (warm.value || props.stage === 'prove' ? props.stage : null))
/** Readings taken now belong after the last move; as found is over once something was moved. */
const taking = computed(
  () =>
    state.value.closing === null &&
    state.value.setUp !== null &&
    (beside.value !== null || (props.stage === 'as-found' ? moved.value === 0 : moved.value > 0)) &&
    beside.value === besideOf(state.value),
)
/** Readings of the rounds wait while the coupling is made up. */
const elsewhere = computed(
  () =>
    !state.value.closing &&
    (props.stage === 're-measure' ? moved.value > 0 : props.stage === 'as-found' && moved.value === 0) &&
    besideOf(state.value) === 'prove',
)
const logged = computed(() => measurementAt(state.value, props.stage))
const measurement = computed(() => (taking.value ? measurementAt(live.value, props.stage) : logged.value))
const liveSet = computed(() => measurement.value?.sets.find((s) => s.set.entry.id === reading.draftId()))
/** Instruments that speak have the board while they are swept, and say what that comes to. */
const sweeping = ref(false)
const sweepMeaning = shallowRef<Meaning | null>(null)
const meaning = computed(() =>
  sweepMeaning.value
    ? sweepMeaning.value
    : props.before && measurement.value?.sets.length === 0
      ? props.before
      : meaningOfMeasuring(live.value, props.stage, telling.value),
)
const source = computed(() => limitSource(state.value, telling.value))

const shownSet = computed(
  () => liveSet.value?.set ?? (read.value.blank ? measurement.value?.sets.at(-1)?.set : undefined),
)
const balance = (circle: string) => ({
  ...balanceOf(shownSet.value, circle, telling.value),
  units: session.units,
})
const named = computed(() =>
  circles.value.map((id) => ({ id, name: circleLabel(state.value.setUp, id, telling.value) })),
)
/** Every position is a quarter: the pads can take them. */
const fourClock = computed(
  () => reads.value !== 'values' && form.value.positions.every((c) => FOUR_QUARTERS.includes(c)),
)
const { ways, way, listing, take, setPositions, paperOrder, fillFromPaper } = useWaysRound(reading)
const quick = ref(false)
/** What the readings are typed on: pads at the quarters, one clock round the hub, the drawn shafts, or rows. */
const shape = computed<BoardShape>(() => {
  if (boardOrTable.value || form.value.ownAngles) return 'table'
  if (reads.value === 'values') return 'values'
  // A second face dial stands half a turn on: its boxes have no place on the drum.
  if (fourClock.value && !listing.value) return atDrum.value && circles.value.length === 2 ? 'drum' : 'pads'
  return 'round'
})
const listed = computed(() => listSets(logged.value, telling.value))

/** What a second screen is asked to read: the next empty box. */
const mate = useMate(reading, () => {
  const [gap] = taking.value ? read.value.missing : []
  return gap?.clock == null || reads.value === 'values'
    ? null
    : {
        circle: gap.circle,
        clock: gap.clock,
        dial: circleName(gap.circle, telling.value).toLowerCase(),
        at: seenClock(gap.clock, job.viewFrom),
        left: read.value.missing.length,
      }
})

// Walking the boxes.
const board = useTemplateRef<{ focus: (box: ReadingBox) => void }>('board')
const returnedBoxes = useTemplateRef<{ focus: () => void }[]>('returnedBoxes')
const focus = (box: ReadingBox) => {
  if (box.clock === null) returnedBoxes.value?.[circles.value.indexOf(box.circle)]?.focus()
  else board.value?.focus(box)
}
/** Enter reads all dials at a stop, then turns on to the next, then the full turn, then logs. */
const enter = (from: ReadingBox) => {
  const { order, missing } = read.value
  const here = order.findIndex((b) => b.circle === from.circle && b.clock === from.clock)
  const later = order.slice(here + 1)
  const next = later.find((b) => missing.includes(b)) ?? missing[0]
  if (next) focus(next)
  else logOrShow()
}
const focusFirst = () => {
  const [first = 0, second = 90] = form.value.positions
  const [circle] = circles.value
  // Dials stand at zero where they start.
  if (circle) focus({ circle, clock: reads.value === 'dials' ? second : first })
}

// Logging, correcting, leaving out.
const asking = ref<null | { about: 'correction' } | { about: 'use' | 'leave'; set: string }>(null)
const askingShown = computed({
  get: () => asking.value !== null,
  set: (open) => !open && (asking.value = null),
})
const nameOf = (id: string) =>
  logged.value ? setName(logged.value, id, telling.value).toLowerCase() : v.value.set
const later = useLater(quick)
const dialog = computed(() => {
  const a = asking.value
  if (!a || a.about === 'correction')
    return { title: v.value.correctSet(nameOf(form.value.correcting)), question: actions.value.whatWasWrong }
  return a.about === 'use'
    ? { title: v.value.useSet(nameOf(a.set)), question: v.value.whyAgainst }
    : { title: v.value.leaveOutSet(nameOf(a.set)), question: actions.value.why }
})
const log = (reason?: string) => {
  const { correcting } = form.value
  if (!job.log(read.value.body, correcting && reason ? { entry: correcting, reason } : null)) return
  reading.reset()
  void nextTick(() => (believed.value ? ledger.value?.focusNext() : focusFirst()))
}
const logOrShow = () => {
  const [gap] = read.value.missing
  if (gap) return focus(gap)
  if (form.value.correcting) asking.value = { about: 'correction' }
  else log()
}
const say = (why: string) => {
  const a = asking.value
  if (a?.about === 'correction') log(why)
  else if (a)
    job.log({ kind: a.about === 'use' ? 'set-used-anyway' : 'set-left-out', payload: { set: a.set, why } })
}
const correct = (id: string) => {
  const noted = logged.value?.sets.find((s: NotedSet) => s.set.entry.id === id)
  if (!noted) return
  reading.correct(noted)
  void nextTick(focusFirst)
}
const believed = computed(() => logged.value !== undefined && isBelieved(logged.value))
const canGoOn = computed(() => read.value.blank && believed.value)
const usable = computed(() => (read.value.blank ? usableAnyway(logged.value) : []))
onMounted(() => {
  if (taking.value && !believed.value && matchMedia('(pointer: fine)').matches) focusFirst()
})

const title = computed(() => {
  const name = {
    'hot-check': v.value.hot,
    prove: v.value.madeUp,
    'as-found': v.value.asFound,
    're-measure': v.value.afterMove(moved.value),
  }[props.stage]
  if (!taking.value) return name
  if (form.value.correcting) return v.value.correcting(name, nameOf(form.value.correcting))
  const nth = logged.value?.sets.length ?? 0
  return v.value.nextSet(name, (w.value.ordinals[nth] ?? v.value.next).toLowerCase())
})
const working = async (): Promise<readonly WorkingStep[]> => {
  const [m, told, about] = [measurement.value, telling.value, { rpm: state.value.rpm, source: source.value }]
  return m ? (await loadWorking()).readingsWorking(m, about, told) : []
}
const gapWords = computed(() => {
  const [gap] = read.value.missing
  if (!gap) return form.value.correcting ? actions.value.logCorrection : v.value.logSet
  const name = circleName(gap.circle, telling.value).toLowerCase()
  return gap.clock === null
    ? v.value.nextTurn
    : v.value.nextReading(name, placeName(state.value.setUp, gap.clock, telling.value))
})
/** What belongs to a machine on feet alone, and to one on a flange. */
const onFeet = computed(() => ('feet' in state.value ? state.value : null))
const atDrum = computed(() => ('tram' in state.value ? state.value : null))
const onFlange = computed(() => ('shape' in state.value ? state.value : null))
const lastMove = computed(() =>
  props.stage === 're-measure' && 'feet' in live.value ? live.value.moves.at(-1) : undefined,
)
const lastFlangeMove = computed(() =>
  props.stage === 're-measure' && 'shape' in live.value ? live.value.moves.at(-1) : undefined,
)
const turnNote = computed(() =>
  circles.value.length === 0
    ? ''
    : { dials: v.value.note, felt: v.value.noteFelt, values: signsNote(state.value.setUp, telling.value) }[
        reads.value
      ],
)
</script>

<template>
  <BoardFrame :title="title">
    <template v-if="!sweeping" #tools>
      <PickOne
        v-if="taking && reads !== 'values' && circles.length > 0"
        on-dye
        :label="v.way"
        :model-value="way"
        :options="ways"
        @update:model-value="take"
      />
      <el-button v-if="taking && circles.length > 0" class="dye-button" @click="quick = true">{{
        v.quick.open
      }}</el-button>
      <el-button
        v-if="taking && circles.length > 0 && !form.ownAngles"
        class="dye-button"
        :aria-pressed="boardOrTable"
        @click="boardOrTable = !boardOrTable"
      >
        {{ v.table }}
      </el-button>
    </template>
    <div
      v-if="taking && !sweeping && reads === 'dials' && (logged?.sets.length || tellsAngles)"
      class="asides"
    >
      <el-button
        v-if="logged?.sets.length"
        class="dye-button"
        :aria-pressed="form.turnedBack"
        @click="form.turnedBack = !form.turnedBack"
        >{{ w.play.turnBack }}</el-button
      >
      <el-button
        v-if="tellsAngles"
        class="dye-button"
        :aria-pressed="form.ownAngles"
        @click="form.ownAngles = !form.ownAngles"
        >{{ v.ownAngles }}</el-button
      >
    </div>
    <p v-if="elsewhere" class="note">{{ v.madeUpNow }}</p>
    <p v-if="taking && !sweeping && turnNote" class="note">{{ turnNote }}</p>
    <p v-if="taking && mate.note.value" class="note" role="status">{{ mate.note.value }}</p>
    <LiveMeasure
      v-if="taking && reads === 'dials' && job.links.length > 0"
      v-model:sweeping="sweeping"
      v-model:meaning="sweepMeaning"
      :reading="reading"
      :named="named"
      :shown="liveSet?.set"
      :place="(clock: number) => placeName(state.setUp, clock, telling)"
      :believed="believed"
    />
    <ReadingBoard
      v-if="taking && !sweeping"
      ref="board"
      :reading="reading"
      :shape="shape"
      :named="named"
      :shown="shownSet"
      :measurement="measurement ?? null"
      :before="logged"
      @positions="setPositions"
      @enter="enter"
    />
    <div
      v-if="!sweeping && (shape === 'pads' || !taking) && !atDrum && circles.length && reads !== 'values'"
      class="balances"
    >
      <SumBalance v-for="c in circles" :key="c" v-bind="balance(c)" />
    </div>
    <div v-if="taking && !sweeping && reads === 'dials'" class="returned">
      <p>{{ v.turn }}</p>
      <NumberBox
        v-for="c in named"
        :key="c.id"
        ref="returnedBoxes"
        v-model="form.returned[c.id]!"
        v-memo="[c.name, session.units, form.returned[c.id]]"
        :label="c.name"
        measure="displacement"
        :units="session.units"
        signed
        on-dye
        @enter="enter({ circle: c.id, clock: null })"
      />
    </div>
    <OverlaidShafts
      v-if="!taking && measurement?.coupling && state.setUp && onFeet"
      :feet="onFeet.feet.untaped ? [] : onFeet.feet.movable"
      :tolerance="state.tolerance"
      :target="state.target"
      :found="stage === 're-measure' ? (state.asFound?.coupling ?? null) : null"
      :left="measurement.coupling"
      :name="stage === 're-measure' ? drawingsWords(telling.words).now : drawingsWords(telling.words).asFound"
    />
    <FlangeStands
      v-if="!taking && measurement?.coupling && onFlange"
      :coupling="measurement.coupling"
      :state="onFlange"
    />
    <SetList
      v-if="listed.length > 0"
      :sets="listed"
      :taking="taking"
      @correct="correct"
      @leave="asking = { about: 'leave', set: $event }"
      @use="asking = { about: 'use', set: $event }"
    />
  </BoardFrame>

  <LedgerFrame ref="ledger" :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <div id="live-ledger" />
    <ChaseNote v-if="stage === 're-measure' && onFeet" :state="onFeet" />
    <JudgementTable
      v-if="!sweeping && measurement?.judgement && measurement.trust !== 'doubtful'"
      :judgement="measurement.judgement"
      :source="source"
      :target="warm || !onFeet || !('coldTarget' in onFeet) ? undefined : onFeet.coldTarget"
      :line="onFlange ? measurement.coupling : null"
    />
    <TrustTable v-if="measurement && !sweeping && !hush" :measurement="measurement" />
    <p v-if="measurement?.play">{{ playWords(measurement, telling) }}</p>
    <AchievedNote v-if="lastMove" :move="lastMove" />
    <FlangeAchieved v-if="lastFlangeMove" :move="lastFlangeMove" />
    <RoundsNote v-if="stage === 're-measure' && onFeet && onFeet.moves.length > 0" :state="onFeet" />
    <p v-if="taking && reads === 'dials' && read.blank && !measurement?.sets.length" class="muted">
      {{ safetyWords(telling.words).turning }}
    </p>
    <ShowWorking v-if="measurement?.sets.length" :steps="working" />
    <QuickEntry
      v-if="later"
      v-model="quick"
      :order="paperOrder"
      :circle-name="(c: string) => circleLabel(state.setUp, c, telling)"
      :place="(clock: number) => placeName(state.setUp, clock, telling)"
      @fill="fillFromPaper"
    />
    <WhyDialog
      v-model="askingShown"
      :title="dialog.title"
      :question="dialog.question"
      :action="actions.logIt"
      @say="say"
    />
    <template #next>
      <div id="live-next" class="live-next" />
      <template v-if="taking">
        <el-button
          v-for="id in usable"
          :key="id"
          link
          class="text-button"
          @click="asking = { about: 'use', set: id }"
        >
          {{ v.useAnyway(nameOf(id)) }}
        </el-button>
        <el-button v-if="form.correcting" link class="text-button" @click="reading.reset()">
          {{ v.leaveSet }}
        </el-button>
        <el-button v-if="stage === 'prove'" link class="text-button" @click="emit('back')">{{
          v.backToProof
        }}</el-button>
        <el-button v-if="canGoOn && !sweeping" link class="text-button" @click="focusFirst">{{
          v.another
        }}</el-button>
        <el-button
          v-if="canGoOn && (!sweeping || liveSet === undefined)"
          class="next-button"
          @click="goOn()"
          >{{ actions.goOn }}</el-button
        >
        <el-button v-else-if="!sweeping" class="next-button" @click="logOrShow">{{ gapWords }}</el-button>
      </template>
      <el-button v-else class="next-button" @click="goOn()">{{ actions.goOn }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.live-next:not(:empty) {
  display: grid;
  gap: 4px;
}
.asides {
  margin-bottom: 8px;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.asides .el-button {
  margin: 0;
}
.note {
  color: var(--scribe-dim);
  font-size: 14px;
}
.balances {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 14px;
  justify-items: center;
  margin-top: 4px;
}
.returned {
  display: grid;
  grid-template-columns: 1.5fr 1fr 1fr;
  gap: 14px;
  align-items: end;
  margin-top: auto;
  padding-top: 10px;
}
@media (max-width: 640px) {
  .returned {
    grid-template-columns: 1fr 1fr;
  }
  .returned p {
    grid-column: 1 / -1;
  }
}
</style>
