<script setup lang="ts">
import { turnsGiven, turnsToGive } from '~~/core/stages/tension/turns'
import { TENSION_SCHOOLS } from '~~/core/stages/tension/entries'
import { driveOf } from '~~/core/stages/lineUp/line'
import { inchesOfSpan } from '~~/core/belt/tension'
import { toCore } from '~~/core/units/unitSystem'
import { drawBars } from '~~/shared/stages/tension/drawing'
import {
  askedTurns,
  SCHOOL_BOXES,
  blankTension,
  gaugeDeflection,
  nameTensionUnits,
  readTensionTexts,
  readTurns,
  type TensionTexts,
  type TurnTexts,
} from '~~/shared/stages/tension/form'
import { BELT_BOX } from '~~/shared/stages/tension/boxes'
import { typedMillimetres, unitOf } from '~~/shared/forms/typed'
import { weightWords } from '~~/shared/wording/baseMoves'
import { actionsWords, beltsWords, drawingsWords, tensionWords } from '~~/shared/wording/en'
import { gapFigure, figure } from '~~/shared/wording/figures'
import { eighths } from '~~/shared/wording/lines'
import { beltName, giveWords, meaningOfTension } from '~~/shared/wording/tension'
import { ahead } from '../ahead'
import TensionFigures from './TensionFigures.vue'

const LiveFill = defineAsyncComponent(() => import('~/components/instruments/LiveFill.vue'))
const loadWorking = ahead(() => import('~~/shared/stages/tension/working'))

/** Every belt of the set, read by one school, judged, and turned to its band. */
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const openStage = inject(openStageKey, () => {})
const w = computed(() => tensionWords(telling.value.words))
const v = computed(() => w.value.view)
const state = computed(() => job.belt!)
const live = computed(() => job.liveBelt ?? state.value)
const machine = computed(() => state.value.machine)
const closed = computed(() => state.value.closing !== null)
const drive = computed(() => driveOf(machine.value))
const own = (x: number) => toCore(x, 'distance', machine.value.units)

const { draft: form, clear } = useDraft<TensionTexts>('tension', () =>
  blankTension(machine.value, state.value.fitted.newHere, session.units),
)
useUnitsOfDraft(form, nameTensionUnits)
const read = computed(() => readTensionTexts(form.value, telling.value))
watch(
  read,
  ({ payload }) => {
    job.draft = payload ? job.compose({ kind: 'tension-read', payload }) : null
  },
  { immediate: true },
)
onBeforeUnmount(() => {
  job.draft = null
})

const now = computed(() => live.value.tensions[live.value.tensions.length - 1] ?? null)
const logged = computed(() => state.value.tensions[state.value.tensions.length - 1] ?? null)
const meaning = computed(() => {
  const { begun, missing } = read.value
  if (begun && missing.length > 0)
    return { mark: 'todo' as const, headline: w.value.left(missing.length), detail: '' }
  return meaningOfTension(live.value, telling.value)
})
const names = computed(() =>
  form.value.belts[form.value.school].map((_, i, all) => beltName(i, all.length, telling.value)),
)
const bars = computed(() => (now.value ? drawBars(now.value, machine.value, telling.value) : null))
const give = computed(() => turnsToGive(live.value.rounds, live.value.tensions, machine.value))
const giving = computed(() => (give.value ? giveWords(give.value, state.value, telling.value) : null))
const given = computed(() => turnsGiven(state.value.rounds))

/** How the chosen school goes, and what the gauge on the drawing shows. */
const deflection = computed(
  () =>
    typedMillimetres(form.value.deflection, 'distance', session.units) ?? gaugeDeflection(machine.value) ?? 0,
)
const how = computed(() => {
  const d = gapFigure(deflection.value, telling.value, true)
  const share = drive.value
    ? `1/${String(Math.round(drive.value.span / Math.max(deflection.value, 1e-6)))}`
    : ''
  switch (form.value.school) {
    case 'force':
      return {
        figure: d,
        what: v.value.pushHere,
        words: v.value.rings(d, share, String(inchesOfSpan(deflection.value))),
      }
    case 'deflection':
      return {
        figure: form.value.force || '–',
        what: v.value.pushWith(form.value.force || '–'),
        words: v.value.ringsForce(form.value.force || '–'),
      }
    case 'frequency':
      return { figure: v.value.hertz, what: v.value.tap, words: v.value.tapHow }
    case 'marks':
      return { figure: '', what: v.value.marks, words: v.value.marksHow }
    default:
      return { figure: '', what: v.value.hand, words: v.value.handHow }
  }
})
const diameterWords = (place: 'motor' | 'driven') =>
  figure(own(machine.value.sheaves[place].pitchDiameter), 'distance', session.units, { unit: true })
const drivenName = computed(() =>
  (job.machine?.stationaryName ?? drawingsWords(telling.value.words).driven).toLowerCase(),
)

onMounted(() => {
  if (!closed.value && !logged.value && matchMedia('(pointer: fine)').matches) boxes.get(0)?.focus()
})

const boxes = new Map<number, { focus: () => void }>()
const keep = (i: number) => (el: unknown) => {
  if (el) boxes.set(i, el as { focus: () => void })
  else boxes.delete(i)
}
const enter = (i: number) => {
  const next = read.value.missing.find((m) => m > i) ?? read.value.missing[0]
  if (next !== undefined) boxes.get(next)?.focus()
  else log()
}
/** A gauge that speaks: what it counts says how the belts are read, and it fills the next belt. */
const nextBelt = computed(() => read.value.missing[0] ?? 0)
const gaugeAt = computed(() => names.value[nextBelt.value] ?? '')
const takeGauge = async (text: string) => {
  const unit = job.links.find((l) => l.place === 'belt')?.instrument?.unit
  const school = unit === 'Hz' ? 'frequency' : 'force'
  if (form.value.school !== school) {
    form.value.school = school
    await nextTick()
  }
  const belts = form.value.belts[school]
  const at = belts.findIndex((b) => b.trim() === '')
  if (at >= 0) belts[at] = text
}
const log = () => {
  const { payload, missing } = read.value
  if (!payload) {
    if (missing[0] !== undefined) boxes.get(missing[0])?.focus()
    return
  }
  if (!job.log({ kind: 'tension-read', payload })) return
  const { school, age, sheaves, deflection: at, force, slack } = form.value
  clear()
  // The next round is read the same way.
  Object.assign(form.value, { school, age, sheaves, deflection: at, force, slack })
}

const { draft: turned, clear: clearTurns } = useDraft<TurnTexts>('turns', () => askedTurns(null))
const turnsRead = computed(() => readTurns(turned.value, telling.value))
watch(
  () => [logged.value?.entry.id, give.value?.turns] as const,
  () => {
    if (
      logged.value &&
      give.value &&
      !read.value.begun &&
      turned.value.sheaveEnd === '' &&
      turned.value.farEnd === ''
    )
      turned.value = askedTurns(give.value.turns)
  },
  { immediate: true },
)
const turning = computed(
  () => !closed.value && !read.value.begun && logged.value?.verdict === 'out' && give.value !== null,
)
const logTurns = () => {
  const { payload } = turnsRead.value
  if (!payload || !job.log({ kind: 'tension-adjusted', payload })) return
  clearTurns()
  void nextTick(() => boxes.get(0)?.focus())
}
const mate = useMatePress({
  press: () => {
    const { school, belts } = form.value
    const next = read.value.missing[0]
    // A set that stands there whole is not asked for again until somebody begins anew.
    if (closed.value || next === undefined || (logged.value && !read.value.begun)) return null
    const { missing } = read.value
    return {
      belt: next + 1,
      of: belts[school].length,
      by: school,
      to:
        school === 'force'
          ? gapFigure(deflection.value, telling.value, true)
          : school === 'deflection'
            ? form.value.force
            : '',
      left: missing.length,
    }
  },
  box: (belt) => form.value.belts[form.value.school][belt - 1] ?? '',
  fill: (belt, value) => {
    form.value.belts[form.value.school][belt - 1] = value
  },
})
const working = async () =>
  now.value ? (await loadWorking()).tensionWorking(now.value, machine.value, give.value, telling.value) : []
const nextWords = computed(() => {
  const first = read.value.missing[0]
  return first === undefined ? w.value.log.read : w.value.next(names.value[first] ?? '')
})
const barsTitle = computed(() => {
  const { force, deflection: given, hertz, marks } = v.value.bars
  const at = gapFigure(deflection.value, telling.value, true)
  return {
    force: force(at, unitOf('force', session.units)),
    deflection: given(unitOf('distance', session.units)),
    frequency: hertz,
    marks: marks(unitOf('distance', session.units)),
    hand: given(unitOf('distance', session.units)),
  }[form.value.school]
})
const box = (i: number) => `belt.${String(i)}`
</script>

<template>
  <BoardFrame
    :title="v.title(w.ages[form.age])"
    :note="drive ? v.toScale(figure(drive.span, 'distance', session.units, { unit: true })) : ''"
  >
    <BeltSide
      :diameters="{
        motor: own(machine.sheaves.motor.pitchDiameter),
        driven: own(machine.sheaves.driven.pitchDiameter),
      }"
      :centre="own(machine.centreDistance)"
      :deflection="deflection"
      :figure="how.figure"
      :what="how.what"
      :pushed="form.school !== 'frequency' && form.school !== 'marks'"
      :names="{
        motor: `${drawingsWords(telling.words).motor} ${diameterWords('motor')}`,
        driven: `${drivenName} ${diameterWords('driven')}`,
      }"
      :words="telling.words"
    />
    <p class="how">{{ how.words }}</p>
    <div v-if="!closed" class="ask">
      <PickOne
        v-model="form.school"
        :label="v.school"
        on-dye
        :options="TENSION_SCHOOLS.map((value) => ({ value, name: w.schools[value] }))"
      />
      <NumberBox
        v-for="g in SCHOOL_BOXES[form.school]"
        :key="g"
        v-model="form[g]"
        :label="v[g]"
        :measure="g === 'force' ? 'force' : 'distance'"
        :units="session.units"
        on-dye
        :note="read.faults[g] ?? ''"
        :note-is-fault="g in read.faults"
      />
      <ChoiceRow
        v-model="form.age"
        :label="v.age"
        show-label
        on-dye
        :options="(['new', 'run-in'] as const).map((value) => ({ value, name: w.ages[value] }))"
      />
      <ChoiceRow
        v-if="machine.belts.count > 1 && machine.belts.stiffness !== undefined"
        v-model="form.sheaves"
        :label="v.sheaves"
        show-label
        on-dye
        :options="(['free', 'held'] as const).map((value) => ({ value, name: v.sheavesAre[value] }))"
      />
    </div>
    <LiveFill
      v-if="!closed && job.links.length > 0"
      :places="[{ key: 'belt', name: gaugeAt }]"
      by-itself
      @take="(_, text) => takeGauge(text)"
    />
    <p v-if="mate.note.value" class="how" role="status">{{ mate.note.value }}</p>
    <BeltBars :bars="bars" :title="barsTitle" :names="names" :words="telling.words">
      <template #default="{ at, label }">
        <NumberBox
          v-if="!closed"
          :ref="keep(at)"
          v-model="form.belts[form.school][at]!"
          :label="label"
          hide-label
          :measure="BELT_BOX[form.school]"
          :units="session.units"
          on-dye
          class="belt"
          :placeholder="bars?.bars[at]?.figure ?? ''"
          :note="read.faults[box(at)] ?? read.asks[box(at)] ?? ''"
          :note-is-fault="box(at) in read.faults"
          @enter="enter(at)"
        />
        <p v-else class="closed-belt">
          <strong class="figure">{{ bars?.bars[at]?.figure }}</strong>
        </p>
      </template>
    </BeltBars>
    <SheetLinks v-if="!closed" on-dye />
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <TensionFigures v-if="now" :read="now" :state="state" />
    <section v-if="giving && give" class="give" :aria-label="v.turn">
      <h3>{{ v.turn }}</h3>
      <p class="figure turns">{{ give.turns > 0 ? '+' : '−' }}{{ eighths(give.turns) }}</p>
      <p>{{ giving.instruction }}</p>
      <p v-for="line in giving.why" :key="line" class="muted">{{ line }}</p>
      <p v-if="given !== 0" class="muted">{{ w.given(given.toFixed(2).replace('-', '−')) }}</p>
      <p v-if="weightWords(machine.base, telling)" class="caution">
        {{ weightWords(machine.base, telling) }}
      </p>
    </section>
    <section v-if="turning" class="turned" :aria-label="v.turned">
      <h3>{{ v.turned }}</h3>
      <div class="two">
        <NumberBox
          v-for="end in ['sheaveEnd', 'farEnd'] as const"
          :key="end"
          v-model="turned[end]"
          :label="v[end]"
          measure="plain"
          :units="session.units"
          signed
          :note="turnsRead.faults[end] ?? ''"
          :note-is-fault="end in turnsRead.faults"
          @enter="logTurns"
        />
      </div>
      <p class="muted">{{ v.even }}</p>
    </section>
    <p class="muted">{{ beltsWords(telling.words).fingers }}</p>
    <ShowWorking v-if="now" :steps="working" />
    <template #next>
      <el-button v-if="closed" class="next-button" @click="goOn()">{{
        actionsWords(telling.words).goOn
      }}</el-button>
      <template v-else-if="read.begun">
        <el-button class="next-button" @click="log">{{ nextWords }}</el-button>
      </template>
      <template v-else-if="turning">
        <el-button link class="text-button" @click="openStage('tighten')">{{ v.all }}</el-button>
        <el-button class="next-button" :disabled="!turnsRead.payload" @click="logTurns">{{
          w.log.adjusted
        }}</el-button>
      </template>
      <template v-else>
        <PassOver v-if="!logged" stage="tension" :title="v.passOver" />
        <el-button v-if="logged" class="next-button" @click="goOn()">{{
          actionsWords(telling.words).goOn
        }}</el-button>
        <el-button v-else class="next-button" @click="log">{{ nextWords }}</el-button>
      </template>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.how {
  color: var(--scribe);
  font-size: 15px;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: flex-start;
  padding: 10px 0;
}
h3 {
  font-size: 16px;
}
.turns {
  font-size: 28px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.closed-belt {
  color: var(--scribe);
  font-size: 18px;
}
</style>
