<script setup lang="ts">
import { actionsWords, beltsWords, drawingsWords, tablesWords } from '~~/shared/wording/en'
import type { LogEntry } from '~~/core/logbook/entry'
import { LINE_STEPS, type LineStep } from '~~/core/stages/lineUp/entries'
import { toCore } from '~~/core/units/unitSystem'
import { drawLine, markBase } from '~~/shared/stages/lineUp/drawing'
import {
  blankLine,
  boardBegun,
  gapBoxes,
  nameLineUnits,
  noMore,
  readLineTexts,
  tapped,
  type Contact,
  type LineTexts,
} from '~~/shared/stages/lineUp/form'
import { lineWorking } from '~~/shared/stages/lineUp/working'
import { gapFigure } from '~~/shared/wording/figures'
import {
  cureSteps,
  lineBoxWords,
  lineFigure,
  lineLimit,
  lineLimitSources,
  meaningOfAlignment,
} from '~~/shared/wording/lines'
import LineQuestions from './LineQuestions.vue'

const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const state = computed(() => job.belt!)
const live = computed(() => job.liveBelt ?? state.value)
const machine = computed(() => state.value.machine)
const w = computed(() => beltsWords(telling.value.words))
const t = computed(() => tablesWords(telling.value.words))
const actions = computed(() => actionsWords(telling.value.words))
const own = (x: number) => toCore(x, 'distance', machine.value.units)
const drivenName = computed(() => (job.machine?.stationaryName ?? t.value.driven).toLowerCase())
const closed = computed(() => state.value.closing !== null)

const { draft: form, clear } = useDraft<LineTexts>('line', () => blankLine(machine.value, session.units))
// A draft of before these were asked has none of them.
form.value.more ??= noMore()
useUnitsOfDraft(form, nameLineUnits)
const read = computed(() => readLineTexts(form.value, machine.value, telling.value))
const begun = computed(() => boardBegun(form.value))

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

const drawn = computed(() => drawLine(form.value, round.value, line.value, machine.value, telling.value))
const tap = (contact: Contact) => {
  form.value.contacts[contact] = tapped(form.value.contacts[contact])
}
const questions = useTemplateRef('questions')

const log = () => {
  const { contacts, reading, missing } = read.value
  if (!contacts) return
  const known = round.value.contacts
  const fresh = known?.id === job.draft?.id ? null : known
  const same = fresh !== null && JSON.stringify(fresh.payload) === JSON.stringify(contacts)
  if (!same && !job.log({ kind: 'contacts-checked', payload: contacts })) return
  if (!reading) return void nextTick(() => questions.value?.focus(missing[0]))
  if (job.log({ kind: 'sheaves-read', payload: reading })) clear()
}

// What cures it, in order.
const steps = computed(() =>
  line.value ? cureSteps(line.value, machine.value, drawn.value.edgeSide, telling.value) : [],
)
const toDo = computed(() => steps.value.filter((s) => s.figure !== '').map((s) => s.step))
const done = ref<LineStep[]>([])
watch(toDo, (now) => (done.value = [...now]), { immediate: true })
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
const working = () =>
  line.value
    ? lineWorking(line.value, round.value.reading as LogEntry<'sheaves-read'> | null, telling.value)
    : []
const limits = computed(() => lineLimitSources(machine.value, telling.value))
const nextWords = computed(() => {
  if (!read.value.contacts) return w.value.view.tapFour
  if (!read.value.reading)
    return w.value.view.next(
      lineBoxWords(read.value.missing[0] ?? 'p1', machine.value.base, telling.value).toLowerCase(),
    )
  return gapBoxes(form.value).length > 1 ? w.value.view.logGaps : w.value.view.logTouch
})
</script>

<template>
  <BoardFrame :title="w.view.title">
    <BeltLine
      :centre="own(machine.centreDistance)"
      :diameters="{
        motor: own(machine.sheaves.motor.pitchDiameter),
        driven: own(machine.sheaves.driven.pitchDiameter),
      }"
      :drawing="drawn"
      :names="{ motor: drawingsWords(telling.words).motor, driven: drivenName }"
      :locked="closed"
      @tap="tap"
    />
    <LineQuestions
      v-if="!closed"
      ref="questions"
      v-model="form"
      :read="read"
      :machine="machine"
      :stands="line !== null"
      @whole="log"
    />
    <LineCure
      v-if="line"
      :steps="steps"
      :base="machine.base.kind"
      :marks="markBase(line, steps, drawn.edgeSide, telling)"
      :driven-name="drivenName"
    />
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <template v-if="line">
      <FigureTable :head="[t.grooveToGroove, t.found, t.limit]">
        <tr v-for="q in line.quantities" :key="q.name">
          <td>{{ w.quantities[q.name] }}</td>
          <td class="figure">
            <VerdictMark v-if="q.verdict" :mark="q.verdict" /> {{ lineFigure(q, telling) }}
          </td>
          <td class="figure">{{ lineLimit(q, telling) }}</td>
        </tr>
      </FigureTable>
      <p v-if="line.wobble !== null" class="muted">{{ w.wobble(gapFigure(line.wobble, telling, true)) }}</p>
      <p class="muted source">{{ limits }}</p>
    </template>
    <p class="muted">{{ w.fingers }}</p>
    <div v-if="canCorrect" class="did">
      <h3 id="did">{{ w.view.corrected }}</h3>
      <el-checkbox-group v-model="done" aria-labelledby="did">
        <el-checkbox v-for="s in LINE_STEPS" :key="s" :value="s">{{ w.done[s] }}</el-checkbox>
      </el-checkbox-group>
      <el-input
        v-model="remark"
        :aria-label="w.view.remarkOn"
        :placeholder="actions.remark"
        maxlength="2000"
      />
    </div>
    <ShowWorking v-if="line" :steps="working" />
    <WhyDialog
      v-model="skipping"
      :title="w.view.passOverTitle"
      :question="actions.why"
      :action="actions.passOver"
      @say="skip"
    />
    <template #next>
      <el-button v-if="closed" class="next-button" @click="goOn()">{{ actions.goOn }}</el-button>
      <template v-else-if="begun">
        <el-button link class="text-button" @click="clear()">{{ w.view.anew }}</el-button>
        <el-button class="next-button" :disabled="!read.contacts" @click="log">{{ nextWords }}</el-button>
      </template>
      <template v-else>
        <el-button v-if="canCorrect && cured" link class="text-button" @click="logCorrection">{{
          w.view.correctedAllTheSame
        }}</el-button>
        <el-button v-if="!loggedLine" link class="text-button" @click="skipping = true">{{
          w.view.passOverTitle
        }}</el-button>
        <el-button v-if="cured" class="next-button" @click="goOn()">{{ actions.goOn }}</el-button>
        <el-button
          v-else-if="canCorrect"
          class="next-button"
          :disabled="done.length === 0"
          @click="logCorrection"
          >{{ w.view.correctedReadAgain }}</el-button
        >
        <el-button v-else class="next-button" disabled>{{ w.view.tapFour }}</el-button>
      </template>
    </template>
  </LedgerFrame>
</template>

<style scoped>
h3 {
  font-size: 16px;
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
</style>
