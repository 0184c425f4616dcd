<script setup lang="ts">
import { DIALS, type Dial } from '~~/core/logbook/setUp'
import { trustOf, type ReadingSet } from '~~/core/logbook/readingSet'
import { clockName } from '~~/shared/wording/directions'
import { figure } from '~~/shared/wording/figures'
import { TURNING_NOTE } from '~~/shared/wording/names'
import { meaningOfReadings } from '~~/shared/wording/readings'
import { readingsWorking } from '~~/shared/working/readings'
import { useKeyEvents } from '~/composables/useKeys'

const props = defineProps<{ stage: 'as-found' | 're-measure' }>()
const job = useJob()
const session = useSession()
const goOn = inject(goOnKey, () => {})
const { boardOrTable } = useKeyEvents()
const reading = useReadingForm()
const { form } = reading

const round = computed(() => job.state?.moves.length ?? 0)
const closed = computed(() => job.state?.closed != null)
/** Readings taken now belong after the last move; as found is over once something was moved. */
const taking = computed(
  () =>
    !closed.value &&
    job.state?.setUp != null &&
    (props.stage === 'as-found' ? round.value === 0 : round.value > 0),
)
const logged = computed(() => {
  const all = job.state?.measurements ?? []
  return props.stage === 'as-found' ? all[0] : round.value > 0 ? all[all.length - 1] : undefined
})
const measurement = computed(() => {
  if (!taking.value) return logged.value
  const all = job.live?.measurements ?? []
  return all[all.length - 1]
})
const liveSet = computed(() => {
  const sets = measurement.value?.sets ?? []
  return sets.find((s) => s.entry.id === reading.draftIdNow())
})
const meaning = computed(() => {
  if (!job.state?.setUp)
    return {
      mark: 'todo' as const,
      headline: 'Set up the dials first.',
      detail: 'Without their distances the readings mean nothing.',
    }
  if (props.stage === 're-measure' && round.value === 0)
    return {
      mark: 'todo' as const,
      headline: 'Nothing was moved yet.',
      detail: 'Readings before a move belong to As found.',
    }
  return meaningOfReadings(
    measurement.value!,
    job.machine?.movableName.toLowerCase() ?? 'machine',
    session.units,
  )
})

// The board: boxes, ghost of the set before, ringed misfits, balance.
const before = computed<ReadingSet | undefined>(() =>
  (logged.value?.sets ?? []).filter((s) => s.entry.id !== form.value.correcting).at(-1),
)
const asText = (mm: number) => figure(mm, 'displacement', session.units, { sign: true })
const ghost = (dial: Dial) =>
  Object.fromEntries((before.value?.readings[dial] ?? []).map((r) => [String(r.clock), asText(r.value)]))
const ringed = (dial: Dial) =>
  measurement.value?.suspects.length === 1
    ? measurement.value.suspects
        .filter((s) => s.dial === dial && s.set === reading.draftIdNow())
        .map((s) => s.clock)
    : []
const notes = (dial: Dial) =>
  Object.fromEntries(form.value.positions.map((c) => [String(c), reading.slipNote(dial, c)]))
const values = (dial: Dial) =>
  Object.fromEntries(form.value.positions.map((c) => [String(c), reading.valueAt(dial, c)]))
const shownSet = computed(
  () => liveSet.value ?? (reading.isBlank.value ? measurement.value?.sets.at(-1) : undefined),
)
const sums = (dial: Dial) => {
  const set = shownSet.value
  const at = (c: number) => set?.readings[dial].find((r) => r.clock === c)?.value
  const [r12, r3, r6, r9] = [at(0), at(90), at(180), at(270)]
  const trust = set ? trustOf(set, dial) : null
  return {
    topBottom: r12 !== undefined && r6 !== undefined ? r12 + r6 : null,
    leftRight: r3 !== undefined && r9 !== undefined ? r3 + r9 : null,
    limit: trust?.closureLimit ?? null,
    agrees: trust?.agrees ?? null,
  }
}
const fourClock = computed(() => form.value.positions.join() === '0,90,180,270')
const asTable = computed(() => boardOrTable.value || !fourClock.value)

// Walking the boxes.
const pads = useTemplateRef<{ focus: (clock: number) => void }[]>('pads')
const table = useTemplateRef<{ focus: (dial: Dial, clock: number) => void }>('table')
const returnedBoxes = useTemplateRef<{ focus: () => void }[]>('returnedBoxes')
const focus = (dial: Dial, clock: number) =>
  asTable.value ? table.value?.focus(dial, clock) : pads.value?.[DIALS.indexOf(dial)]?.focus(clock)
const setText = (dial: Dial, clock: number, text: string) => {
  form.value[dial][String(clock)] = text
}
const walk = (dial: Dial, clock: number, by: 1 | -1) => {
  const at = form.value.positions.indexOf(clock) + by
  const next = form.value.positions[(at + form.value.positions.length) % form.value.positions.length]
  if (next !== undefined) focus(dial, next)
}
/** Enter reads both dials at a stop, then turns on to the next. */
const enter = (dial: Dial, clock: number) => {
  const order = form.value.positions.flatMap((c) => DIALS.map((d) => ({ dial: d, clock: c })))
  const here = order.findIndex((o) => o.dial === dial && o.clock === clock)
  const next =
    order.slice(here + 1).find((o) => reading.valueAt(o.dial, o.clock) === null) ??
    (here === order.length - 1 ? undefined : order[here + 1])
  if (next) focus(next.dial, next.clock)
  else returnedBoxes.value?.[0]?.focus()
}
const enterReturned = (dial: Dial) => {
  if (dial === 'rim' && form.value.returned.face.trim() === '') return returnedBoxes.value?.[1]?.focus()
  logOrShow()
}

// Logging, correcting, leaving out.
const asking = ref<null | { about: 'correction' } | { about: 'use' | 'leave'; set: string }>(null)
const askingShown = computed({
  get: () => asking.value !== null,
  set: (open) => !open && (asking.value = null),
})
const log = (reason?: string) => {
  const correcting = form.value.correcting
  job.log(reading.body.value, correcting && reason ? { entry: correcting, reason } : null)
  reading.reset()
  void nextTick(() => focusFirst())
}
const focusFirst = () => focus('rim', form.value.positions[1] ?? 90)
const logOrShow = () => {
  const [gap] = reading.missing.value
  if (gap) return focus(gap.dial, gap.clock)
  if (reading.returnedMissing.value.length > 0)
    return returnedBoxes.value?.[DIALS.indexOf(reading.returnedMissing.value[0] as Dial)]?.focus()
  if (form.value.correcting) asking.value = { about: 'correction' }
  else log()
}
const say = (why: string) => {
  const a = asking.value
  if (a?.about === 'correction') log(why)
  else if (a)
    job.log({ kind: a.about === 'use' ? 'set-used-anyway' : 'set-left-out', payload: { set: a.set, why } })
}
const believed = computed(() => logged.value?.trust === 'agreed' || logged.value?.trust === 'overridden')
const canGoOn = computed(() => reading.isBlank.value && believed.value)
useNextKey(() =>
  canGoOn.value || !taking.value ? goOn() : reading.isBlank.value ? focusFirst() : logOrShow(),
)
onMounted(() => taking.value && !believed.value && matchMedia('(pointer: fine)').matches && focusFirst())

const title = computed(() => {
  const name = props.stage === 'as-found' ? 'As found' : `After move ${round.value}`
  const ordinals = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth']
  if (!taking.value) return name
  if (form.value.correcting) return `${name}, correcting a set`
  return `${name}, ${ordinals[logged.value?.sets.length ?? 0] ?? 'next'} set`
})
const working = computed(() =>
  job.live && measurement.value ? readingsWorking(job.live, measurement.value, session.units) : [],
)
const failing = computed(() => logged.value?.trust === 'doubtful' && reading.isBlank.value)
const gapWords = computed(() => {
  const [gap] = reading.missing.value
  return gap
    ? `Next: ${gap.dial} at ${clockName(gap.clock)}`
    : reading.returnedMissing.value.length > 0
      ? 'Next: the full turn'
      : form.value.correcting
        ? 'Log the correction'
        : 'Log this set'
})
</script>

<template>
  <BoardFrame :title="title" note="seen from behind the motor · turn clockwise · plunger in is plus">
    <template #tools>
      <button
        v-if="fourClock"
        type="button"
        class="dye-button"
        :aria-pressed="asTable"
        @click="boardOrTable = !boardOrTable"
      >
        Table
      </button>
    </template>
    <template v-if="taking">
      <div v-if="!asTable" class="pads">
        <ClockPad
          v-for="dial in DIALS"
          :key="dial"
          ref="pads"
          :dial="dial"
          :texts="form[dial]"
          :units="session.units"
          :ghost="ghost(dial)"
          :ringed="ringed(dial)"
          :notes="notes(dial)"
          :values="values(dial)"
          @update:text="(clock, text) => setText(dial, clock, text)"
          @enter="enter(dial, $event)"
          @step="(clock, by) => walk(dial, clock, by)"
        />
      </div>
      <ReadingTable
        v-else
        ref="table"
        :form="form"
        :units="session.units"
        :ghost="{ rim: ghost('rim'), face: ghost('face') }"
        @positions="form.positions = $event"
        @update:text="setText"
        @enter="enter"
        @step="walk"
      />
    </template>
    <div v-if="!asTable || !taking" class="balances">
      <SumBalance v-for="dial in DIALS" :key="dial" :dial="dial" v-bind="sums(dial)" />
    </div>
    <div v-if="taking" class="returned">
      <p>Turn on until the full turn is done. Back at the start the dials show:</p>
      <NumberBox
        v-for="dial in DIALS"
        :key="dial"
        ref="returnedBoxes"
        v-model="form.returned[dial]"
        :label="dial === 'rim' ? 'Rim' : 'Face'"
        measure="displacement"
        :units="session.units"
        signed
        on-dye
        @enter="enterReturned(dial)"
      />
    </div>
    <OverlaidShafts
      v-if="!taking && job.state && measurement?.coupling"
      :state="job.state"
      :found="stage === 're-measure' ? (job.state.asFound?.coupling ?? null) : null"
      :left="measurement.coupling"
      :name="stage === 're-measure' ? 'now' : 'as found'"
    />
    <SetList
      :measurement="logged"
      :taking="taking"
      @correct="reading.correct($event)"
      @leave="asking = { about: 'leave', set: $event }"
      @use="asking = { about: 'use', set: $event }"
    />
  </BoardFrame>

  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <TurnedDownEntries />
    <TrustTable v-if="measurement" :measurement="measurement" />
    <AchievedNote v-if="stage === 're-measure'" />
    <JudgementTable
      v-if="measurement?.judgement && measurement.trust !== 'doubtful'"
      :judgement="measurement.judgement"
    />
    <p v-if="taking && reading.isBlank.value && !measurement?.sets.length" class="muted">
      {{ TURNING_NOTE }}
    </p>
    <ShowWorking :steps="working" />
    <WhyDialog
      v-model="askingShown"
      :title="
        asking?.about === 'correction'
          ? 'Correct a set'
          : asking?.about === 'use'
            ? 'Use it anyway'
            : 'Leave a set out'
      "
      :question="asking?.about === 'correction' ? 'What was wrong with it?' : 'Why?'"
      action="Log it"
      @say="say"
    />
    <template #next>
      <template v-if="taking">
        <button
          v-if="failing"
          type="button"
          class="text-button"
          @click="asking = { about: 'use', set: logged!.sets.at(-1)!.entry.id }"
        >
          Use it anyway and say why
        </button>
        <button v-if="form.correcting" type="button" class="text-button" @click="reading.reset()">
          Leave the set as it was
        </button>
        <button v-if="canGoOn" type="button" class="text-button" @click="focusFirst">Read another set</button>
        <button v-if="canGoOn" type="button" class="next-button" @click="goOn()">Go on</button>
        <button v-else type="button" class="next-button" @click="logOrShow">{{ gapWords }}</button>
      </template>
      <button v-else type="button" class="next-button" @click="goOn()">Go on</button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.pads,
.balances {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 18px;
}
.pads {
  padding-top: 8px;
}
.balances {
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
@media (max-width: 760px) {
  .pads {
    grid-template-columns: 1fr;
  }
}
</style>
