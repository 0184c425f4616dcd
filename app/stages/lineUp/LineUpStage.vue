<script setup lang="ts">
import type { LogEntry } from '~~/core/logbook/entry'
import type { LineStep } from '~~/core/stages/lineUp/entries'
import { toCore } from '~~/core/units/unitSystem'
import {
  blankLine,
  CONTACTS,
  nameLineUnits,
  readLineTexts,
  type Contact,
  type LineBox,
  type LineTexts,
  type Touch,
} from '~~/shared/stages/lineUp/form'
import { lineWorking } from '~~/shared/stages/lineUp/working'
import { meaningOfAlignment } from '~~/shared/wording/headlines'
import { cureSteps, degrees, gapFigure, lineFigure, lineLimit } from '~~/shared/wording/lines'

const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const state = computed(() => job.belt!)
const live = computed(() => job.liveBelt ?? state.value)
const machine = computed(() => state.value.machine)
const w = computed(() => telling.value.words.belts)
const closed = computed(() => state.value.closing !== null)

const { draft: form, clear } = useDraft<LineTexts>('line', () => blankLine(machine.value, session.units))
useUnitsOfDraft(form, nameLineUnits)
const read = computed(() => readLineTexts(form.value, machine.value, telling.value))
const begun = computed(() => CONTACTS.some((c) => form.value.contacts[c] !== null))

watch(
  read,
  ({ reading, contacts }) => {
    job.draft = reading
      ? job.compose({ kind: 'sheaves-read', payload: reading })
      : contacts
        ? job.compose({ kind: 'contacts-checked', payload: contacts })
        : null
  },
  { immediate: true },
)
onBeforeUnmount(() => {
  job.draft = null
})

const round = computed(() => live.value.alignment[live.value.alignment.length - 1]!)
const line = computed(() => live.value.lines[live.value.lines.length - 1] ?? null)
const loggedLine = computed(() => state.value.lines[state.value.lines.length - 1] ?? null)
const meaning = computed(() => meaningOfAlignment(live.value, telling.value))

/** What the board draws: what is being typed, else what was read last in this round. */
const lies = computed(() =>
  begun.value ? form.value : (round.value.reading?.payload ?? round.value.contacts?.payload ?? form.value),
)
const drawnGaps = computed(() => {
  const p = round.value.reading?.payload
  const mm = (x: number) => (p ? toCore(x, 'distance', p.units) : 0)
  return p && line.value
    ? { p1: mm(p.p1), p2: mm(p.p2), r1: mm(p.reference?.r1 ?? 0), r2: mm(p.reference?.r2 ?? 0) }
    : { p1: 0, p2: 0, r1: 0, r2: 0 }
})
const drawnContacts = computed((): Record<Contact, Touch> => {
  if (begun.value) return form.value.contacts
  const p = round.value.reading?.payload
  const c = round.value.contacts?.payload
  const of = (gap: number): Touch => (gap > 0 ? 'gap' : 'touch')
  if (p)
    return {
      referenceFar: of(p.reference?.r1 ?? 0),
      referenceNear: of(p.reference?.r2 ?? 0),
      otherNear: of(p.p1),
      otherFar: of(p.p2),
    }
  const told = (touches: boolean): Touch => (touches ? 'touch' : 'gap')
  return c
    ? {
        referenceFar: told(c.reference.far),
        referenceNear: told(c.reference.near),
        otherNear: told(c.other.near),
        otherFar: told(c.other.far),
      }
    : form.value.contacts
})
const own = (x: number) => toCore(x, 'distance', machine.value.units)
const depths = computed(() => {
  const side = lies.value.edgeSide === 'outer' ? 'depthOuter' : 'depthInner'
  const other = lies.value.edgeOn === 'motor' ? 'driven' : 'motor'
  return {
    reference: own(machine.value.sheaves[lies.value.edgeOn][side]),
    other: own(machine.value.sheaves[other][side]),
  }
})
const figures = computed(() => {
  const l = line.value
  const depth = (x: number) => gapFigure(x, telling.value)
  if (!l) return null
  return {
    offset: gapFigure(Math.abs(l.errors.offset), telling.value),
    offsetOut: l.quantities.some((q) => q.name === 'offset' && q.verdict === 'out'),
    turn: degrees(Math.abs(l.errors.turn)),
    tilt: l.errors.tilt === null ? '' : degrees(Math.abs(l.errors.tilt)),
    depthReference: depth(depths.value.reference),
    depthOther: depth(depths.value.other),
  }
})
const tap = (contact: Contact) => {
  const now = form.value.contacts[contact]
  form.value.contacts[contact] = now === 'touch' ? 'gap' : now === 'gap' ? null : 'touch'
}

const boxes = new Map<LineBox, { focus: () => void }>()
const keep = (box: LineBox) => (el: unknown) => {
  if (el) boxes.set(box, el as { focus: () => void })
  else boxes.delete(box)
}
const LABELS: Readonly<Record<LineBox, string>> = {
  p1: 'Gap at near rim, p1',
  p2: 'Gap at far rim, p2',
  w: 'p1 to p2 apart',
  r1: 'Far rim under the edge, r1',
  r2: 'Near rim under the edge, r2',
  wR: 'r1 to r2 apart',
  g12: 'Edge shifted up, g12',
  g6: 'Edge shifted down, g6',
  h: 'Up to down apart',
}
const rocks = computed(
  () => form.value.contacts.referenceFar === 'gap' || form.value.contacts.referenceNear === 'gap',
)
const gapBoxes = computed((): readonly LineBox[] => [
  ...(form.value.contacts.otherFar === 'gap' ? (['p2'] as const) : []),
  ...(form.value.contacts.otherNear === 'gap' ? (['p1'] as const) : []),
  'w',
  ...(form.value.contacts.referenceNear === 'gap' ? (['r2'] as const) : []),
  ...(form.value.contacts.referenceFar === 'gap' ? (['r1'] as const) : []),
  ...(rocks.value ? (['wR'] as const) : []),
])
const TILT: readonly LineBox[] = ['g12', 'g6', 'h']

const log = () => {
  const { contacts, reading, missing } = read.value
  if (!contacts) return
  const known = round.value.contacts
  const fresh = known?.id === job.draft?.id ? null : known
  const same = fresh !== null && JSON.stringify(fresh.payload) === JSON.stringify(contacts)
  if (!same && !job.log({ kind: 'contacts-checked', payload: contacts })) return
  if (!reading) return void nextTick(() => boxes.get(missing[0] as LineBox)?.focus())
  if (job.log({ kind: 'sheaves-read', payload: reading })) clear()
}
const enter = (box: LineBox) => {
  const order = [...gapBoxes.value, ...TILT]
  const next = order.slice(order.indexOf(box) + 1).find((b) => read.value.missing.includes(b))
  if (next) boxes.get(next)?.focus()
  else log()
}

// What cures it, in order.
const cure = computed(() =>
  line.value ? cureSteps(line.value, machine.value.base, lies.value.edgeSide, telling.value) : [],
)
const steps = computed(() => cure.value.map((c, i) => ({ ...c, number: i + 1 })))
const toDo = computed(() => steps.value.filter((s) => s.figure !== '').map((s) => s.step))
const done = ref<LineStep[]>([])
watch(toDo, (now) => (done.value = [...now]), { immediate: true })
const stepOf = (step: LineStep) => steps.value.find((s) => s.step === step && s.figure !== '')
const remark = ref('')
const logCorrection = () => {
  if (done.value.length === 0) return
  if (job.log({ kind: 'line-corrected', payload: { steps: [...done.value], remark: remark.value.trim() } })) {
    remark.value = ''
    clear()
  }
}
const cured = computed(() => loggedLine.value !== null && loggedLine.value.verdict !== 'out')
const canCorrect = computed(
  () => !begun.value && loggedLine.value !== null && toDo.value.length > 0 && !closed.value,
)
const skipping = ref(false)
const skip = (why: string) => {
  if (job.log({ kind: 'stage-skipped', payload: { stage: 'line-up', why } })) goOn()
}
const working = computed(() =>
  line.value
    ? lineWorking(line.value, round.value.reading as LogEntry<'sheaves-read'> | null, telling.value)
    : [],
)
const limits = computed(() => {
  const l = machine.value.limits
  return l.offset !== null || l.angle !== null
    ? w.value.limits.own(l.source)
    : w.value.limits.starter(w.value.kinds[machine.value.belts.kind])
})
const nextWords = computed(() => {
  if (!read.value.contacts) return 'Tap all four rims'
  if (!read.value.reading) return `Next: ${LABELS[read.value.missing[0] ?? 'p1'].toLowerCase()}`
  return gapBoxes.value.length > 1 ? 'Log the gaps' : 'Log: all four touch'
})
</script>

<template>
  <BoardFrame title="Sheave faces from above">
    <BeltLine
      :centre="own(machine.centreDistance)"
      :diameters="{
        motor: own(machine.sheaves.motor.pitchDiameter),
        driven: own(machine.sheaves.driven.pitchDiameter),
      }"
      :edge-on="lies.edgeOn"
      :contacts="drawnContacts"
      :gaps="drawnGaps"
      :depths="depths"
      :names="{ motor: 'motor', driven: (job.machine?.stationaryName ?? 'driven').toLowerCase() }"
      :figures="figures"
      :locked="closed"
      @tap="tap"
    />
    <div v-if="!closed" class="ask">
      <template v-if="begun">
        <div v-for="(group, i) in [gapBoxes, TILT]" :key="i" class="boxes">
          <NumberBox
            v-for="box in group"
            :key="box"
            :ref="keep(box)"
            v-model="form.boxes[box]"
            :label="LABELS[box]"
            measure="distance"
            :units="session.units"
            :signed="box === 'g12' || box === 'g6'"
            on-dye
            :note="read.remarks[box]?.text ?? ''"
            :note-is-fault="read.remarks[box]?.fault ?? false"
            @enter="enter(box)"
          />
        </div>
      </template>
      <div class="choices">
        <ChoiceRow
          v-model="form.edgeOn"
          label="The edge lies flat on"
          show-label
          on-dye
          :options="[
            { value: 'motor', name: 'Motor sheave' },
            { value: 'driven', name: 'Driven sheave' },
          ]"
        />
        <ChoiceRow
          v-model="form.edgeSide"
          label="On the faces"
          show-label
          on-dye
          :options="[
            { value: 'outer', name: 'Away from motor' },
            { value: 'inner', name: 'Toward motor' },
          ]"
        />
      </div>
    </div>
    <div v-if="line" class="cure">
      <div>
        <h3>Corrections, in this order</h3>
        <ol>
          <li v-for="s in steps" :key="s.step" :class="{ idle: s.figure === '' }">
            <span class="badge figure" aria-hidden="true">{{ s.number }}</span>
            <div>
              <p>{{ s.what }}</p>
              <p v-if="s.figure" class="figure big">{{ s.figure }}</p>
              <p v-if="s.detail" class="quiet">{{ s.detail }}</p>
            </div>
          </li>
        </ol>
      </div>
      <MotorBase
        :kind="machine.base.kind"
        :turn="
          stepOf('turn')
            ? {
                number: 2,
                figure: gapFigure(Math.abs(line.corrections.turn.farEndSlide), telling, true),
                away: line.corrections.turn.farEndSlide > 0,
              }
            : null
        "
        :slide="
          stepOf('offset')
            ? { number: 3, down: line.corrections.offset.sheaveSlide > 0 === (lies.edgeSide === 'outer') }
            : null
        "
        :driven-name="(job.machine?.stationaryName ?? 'driven').toLowerCase()"
      />
    </div>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <template v-if="line">
      <FigureTable :head="['groove to groove', 'found', 'limit']">
        <tr v-for="q in line.quantities" :key="q.name">
          <td>{{ w.quantities[q.name] }}</td>
          <td class="figure">
            <VerdictMark v-if="q.verdict" :mark="q.verdict" /> {{ lineFigure(q, telling) }}
          </td>
          <td class="figure">{{ lineLimit(q, telling) }}</td>
        </tr>
      </FigureTable>
      <p class="muted source">{{ limits }}</p>
    </template>
    <p class="muted">{{ w.fingers }}</p>
    <div v-if="canCorrect" class="did">
      <h3 id="did">What was corrected</h3>
      <el-checkbox-group v-model="done" aria-labelledby="did">
        <el-checkbox v-for="s in steps" :key="s.step" :value="s.step">{{ s.what }}</el-checkbox>
      </el-checkbox-group>
      <el-input
        v-model="remark"
        aria-label="Remark on the correction"
        placeholder="Remark"
        maxlength="2000"
      />
    </div>
    <ShowWorking :steps="working" />
    <WhyDialog
      v-model="skipping"
      title="Pass over lining up"
      question="Why?"
      action="Pass it over"
      @say="skip"
    />
    <template #next>
      <el-button v-if="closed" class="next-button" @click="goOn()">Go on</el-button>
      <template v-else-if="begun">
        <el-button link class="text-button" @click="clear()">Begin this check anew</el-button>
        <el-button class="next-button" :disabled="!read.contacts" @click="log">{{ nextWords }}</el-button>
      </template>
      <template v-else>
        <el-button v-if="canCorrect && cured" link class="text-button" @click="logCorrection"
          >Corrected all the same: read again</el-button
        >
        <el-button v-if="!loggedLine" link class="text-button" @click="skipping = true"
          >Pass over lining up</el-button
        >
        <el-button v-if="cured" class="next-button" @click="goOn()">Go on</el-button>
        <el-button
          v-else-if="canCorrect"
          class="next-button"
          :disabled="done.length === 0"
          @click="logCorrection"
          >Corrected: read again</el-button
        >
        <el-button v-else class="next-button" disabled>Tap all four rims</el-button>
      </template>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.ask {
  display: grid;
  gap: 10px;
}
.boxes {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(136px, 1fr));
  gap: 10px 14px;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 22px;
}
.cure {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 290px);
  gap: 16px;
  align-items: start;
  margin-top: 12px;
  padding-top: 10px;
  border-top: 1px solid var(--dye-line);
}
h3 {
  font-size: 16px;
}
.cure h3 {
  color: #fff;
}
ol {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
li {
  display: grid;
  grid-template-columns: 30px 1fr;
  gap: 10px;
}
.badge {
  display: grid;
  place-items: center;
  width: 28px;
  height: 28px;
  border-radius: 50%;
  background: var(--brass-on-dye);
  color: var(--dye-deep);
  font-weight: 700;
}
.idle .badge {
  background: none;
  border: 1px solid var(--scribe-dim);
  color: var(--scribe);
}
.big {
  font-size: 20px;
  line-height: 1.3;
  color: var(--brass-on-dye);
}
.quiet {
  font-size: 14px;
  color: var(--scribe-dim);
}
.source {
  font-size: 13px;
}
.did :deep(.el-checkbox) {
  height: auto;
  min-height: var(--touch);
  white-space: normal;
  margin-right: 0;
  display: flex;
}
@media (max-width: 640px) {
  .cure {
    grid-template-columns: 1fr;
  }
}
</style>
