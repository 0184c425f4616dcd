<script setup lang="ts">
import { actionsWords, flangeTapeWords, safetyWords, setUpWords, setsWords } from '~~/shared/wording/en'
import { FLANGE_TAPES } from '~~/core/stages/setUp/entries'
import type { LogEntry } from '~~/core/logbook/entry'
import { settleSetUp } from '~~/core/stages/setUp/setUp'
import { endOf, METHOD_FORMS } from '~~/shared/methods/forms'
import { marksOf, stillMachine } from '~~/core/stages/setUp/stillSurface'
import { asSmall } from '~~/shared/forms/typed'
import { flangeBoxes, flangeLabel, toldFlange } from '~~/shared/stages/setUp/flangeTape'
import { checksOf, choicesOf, methodsFor, NO_PIPE, numbersOf, readPipe } from '~~/shared/stages/setUp/form'
import {
  boxName,
  choiceRows,
  footLabel,
  meaningOfSetUp,
  numberLabel,
  returnLabel,
  stillHubWords,
} from '~~/shared/stages/setUp/words'
import { clockFace } from '~~/shared/wording/clockFace'
import { capital } from '~~/shared/wording/capital'
import { circleName } from '~~/shared/wording/circles'
import type { WorkingStep } from '~~/shared/working/step'
import { ahead, loadedAhead } from '../ahead'

const loadWorking = ahead(() => import('~~/shared/stages/setUp/working'))
const FlangeChain = loadedAhead(() => import('~/boards/FlangeChain.vue'))
const SetUpChain = loadedAhead(() => import('~/boards/SetUpChain.vue'))
const DrumSetUp = loadedAhead(() => import('./DrumSetUp.vue'))
const LiveNudge = defineAsyncComponent(() => import('~/components/instruments/LiveNudge.vue'))
const SagOnPipe = loadedAhead(() => import('./SagOnPipe.vue'))

const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const { form, read, context, clear, chooseMethod, correct, pipeOf } = useSetUpForm()

const w = computed(() => setUpWords(telling.value.words))
const actions = computed(() => actionsWords(telling.value.words))
const closed = computed(() => job.measured?.closing != null)
const names = computed(() => ({
  movable: job.machine?.movableName ?? w.value.view.motor,
  stationary: job.machine?.stationaryName ?? w.value.view.driven,
}))
const method = computed(() => METHOD_FORMS[form.value.method])
const choices = computed(() =>
  choiceRows(
    form.value.method,
    names.value,
    telling.value,
    choicesOf(form.value.method, context.value.machine),
  ),
)
const atDrum = computed(() => context.value.machine.drive === 'drum')
const methods = computed(() =>
  methodsFor(context.value.machine).map((value) => ({
    value,
    name: setsWords(telling.value.words).methods[value],
  })),
)
const checks = computed(() => checksOf(form.value, context.value.machine))
const preview = computed(() => {
  const { payload } = read.value
  if (!payload) return null
  const entry = job.compose({ kind: 'set-up', payload }) as LogEntry<'set-up'>
  return settleSetUp(entry)
})
const working = async (): Promise<readonly WorkingStep[]> => {
  const [told, to] = [preview.value, telling.value]
  return told ? (await loadWorking()).setUpWorking(told, to) : []
}
const dials = computed(() =>
  method.value.dials(form.value.choices).map((d) => ({
    ...d,
    at: read.value.numbers[d.plane] ?? null,
    circle: d.face ? (read.value.numbers[d.face.circle] ?? null) : null,
  })),
)
// A bar on a pipe; the hub that stands still.
const numbers = computed(() => numbersOf(form.value.method, context.value.machine))
const bars = computed(() => numbers.value.filter((n) => n.sag))
const f = computed(() => flangeTapeWords(telling.value.words))
const onPipe = ref('')
const pipeShown = computed({
  get: () => onPipe.value !== '',
  set: (open) => !open && (onPipe.value = ''),
})
const later = useLater(pipeShown)
const takeSag = (hang: number) => {
  form.value.toldSag = 'hang'
  form.value.numbers[onPipe.value] = asSmall(hang, session.units)
}
const barName = (id: string) => boxName(`numbers.${id}`, form.value, context.value.machine, telling.value)
const stillMarks = computed(() => {
  const still = stillMachine(form.value.turning)
  return still ? marksOf(context.value.turned ?? [], still) : []
})
const stillHub = computed(() =>
  stillHubWords(form.value, context.value.turned ?? [], read.value.payload, telling.value),
)
const headName = (circle: 'movable' | 'stationary') => circleName(circle, telling.value).toLowerCase()
const sets = computed(
  () =>
    job.measured?.measurements
      .flatMap((m) => m.sets)
      .filter((s) => s.set.setUp.entry.id === (form.value.correcting || job.measured?.setUp?.entry.id))
      .length ?? 0,
)

const title = computed(() => {
  const name =
    form.value.method === 'heads' ? w.value.view.titles.heads : w.value.view.titles[method.value.reads]
  return form.value.correcting ? w.value.view.correcting(name) : name
})
const meaning = computed(() => meaningOfSetUp(read.value, form.value, telling.value))

const boxes = new Map<string, { focus: () => void }>()
const keep = (box: string) => (el: unknown) => {
  if (el) boxes.set(box, el as { focus: () => void })
  else boxes.delete(box)
}
const log = () => {
  const { payload, missing } = read.value
  if (!payload) return boxes.get(missing[0] ?? '')?.focus()
  const correcting = form.value.correcting
  if (correcting) asking.value = true
  else if (job.log({ kind: 'set-up', payload })) {
    clear()
    goOn()
  }
}
const nextWords = computed(() => {
  const [gap] = read.value.missing
  if (gap) return w.value.next(boxName(gap, form.value, context.value.machine, telling.value))
  return form.value.correcting ? w.value.logCorrection : w.value.log
})
const asking = ref(false)
const logCorrection = (reason: string) => {
  const { payload } = read.value
  if (!payload || !job.log({ kind: 'set-up', payload }, { entry: form.value.correcting, reason })) return
  clear()
  goOn()
}
/** Enter walks to the next empty box, then logs. */
const enter = (box: string) => {
  const { boxes: order, missing } = read.value
  const here = order.indexOf(box)
  const next = order.slice(here + 1).find((b) => missing.includes(b)) ?? missing.find((b) => b !== box)
  if (next) boxes.get(next)?.focus()
  else log()
}
const bind = (box: string) => ({
  units: session.units,
  note: read.value.remarks[box]?.text ?? '',
  noteIsFault: read.value.remarks[box]?.fault ?? false,
  required: true,
  onDye: true,
  disabled: closed.value,
  onEnter: () => enter(box),
})
onMounted(() => {
  if (!closed.value && matchMedia('(pointer: fine)').matches) boxes.get(read.value.missing[0] ?? '')?.focus()
})
</script>

<template>
  <BoardFrame :title="title" :note="w.view.note">
    <template #tools>
      <PickOne
        v-if="!atDrum"
        class="method"
        on-dye
        :label="w.view.method"
        :model-value="form.method"
        :options="methods"
        :disabled="closed"
        @update:model-value="chooseMethod"
      />
    </template>
    <component
      :is="form.flange ? FlangeChain : SetUpChain"
      :flange="read.flange"
      :dials="dials"
      :feet="read.feet"
      :movable-name="names.movable"
      :stationary-name="names.stationary"
    >
      <template v-for="end in ['stationary', 'movable'] as const" #[end] :key="end">
        <NumberBox
          v-for="field in numbers.filter((n) => endOf(n, form.method, form.choices) === end)"
          :key="field.id"
          :ref="keep(`numbers.${field.id}`)"
          v-model="form.numbers[field.id]!"
          v-bind="bind(`numbers.${field.id}`)"
          :label="numberLabel(field, form, telling)"
          :measure="field.measure"
          :signed="field.signed || (field.sag && form.toldSag === 'pipe-at-6')"
        />
      </template>
      <template #span="{ at }">
        <NumberBox
          :ref="keep(`feet.${at}`)"
          v-model="form.feet[at]!"
          v-bind="bind(`feet.${at}`)"
          :label="footLabel(at, context.machine, telling)"
          measure="distance"
        />
      </template>
      <template v-if="form.flange" #flange>
        <NumberBox
          v-for="box in flangeBoxes(form.flange)"
          :key="box"
          :ref="keep(`flange.${box}`)"
          v-model="form.flange[box]"
          v-bind="bind(`flange.${box}`)"
          :label="flangeLabel(box, form.flange.told, telling)"
          measure="distance"
        />
      </template>
    </component>
    <div v-if="form.flange" class="tape">
      <ChoiceRow
        :model-value="form.flange.told"
        :label="f.tape"
        show-label
        on-dye
        :disabled="closed"
        :options="FLANGE_TAPES.map((value) => ({ value, name: f.tapes[value] }))"
        @update:model-value="form.flange = toldFlange(form.flange, $event, session.units)"
      />
      <p>{{ f.noSag }}</p>
    </div>
    <DrumSetUp v-if="atDrum" />
    <div class="fields">
      <div v-if="form.method === 'heads'" class="row">
        <NumberBox
          :ref="keep('nudged.own')"
          v-model="form.nudged.own"
          v-bind="bind('nudged.own')"
          :required="false"
          :label="w.view.nudgeOwn(headName('movable'))"
          measure="displacement"
          signed
        />
        <NumberBox
          :ref="keep('nudged.other')"
          v-model="form.nudged.other"
          v-bind="bind('nudged.other')"
          :required="false"
          :label="w.view.nudgeOther(headName('stationary'))"
          measure="displacement"
          signed
        />
      </div>
      <LiveNudge
        v-if="form.method === 'heads' && job.links.length > 0 && !closed"
        @nudged="(own, other) => (form.nudged = { own, other })"
      />
      <div class="row choices">
        <NumberBox
          :ref="keep('graduation')"
          v-model="form.graduation"
          v-bind="bind('graduation')"
          class="graduation"
          :label="w.view.graduation"
          measure="displacement"
        />
        <ChoiceRow
          v-if="bars.length"
          v-model="form.toldSag"
          :label="w.view.sagToldAs"
          show-label
          on-dye
          :disabled="closed"
          :options="[
            { value: 'hang', name: w.view.sagForms.hang },
            { value: 'pipe-at-6', name: w.view.sagForms['pipe-at-6'] },
          ]"
        />
        <ChoiceRow
          v-if="numbers.some((n) => n.circle)"
          v-model="form.toldCircle"
          :label="w.view.circleTapedAs"
          show-label
          on-dye
          :disabled="closed"
          :options="[
            { value: 'diameter', name: w.view.circleForms.diameter },
            { value: 'radius', name: w.view.circleForms.radius },
          ]"
        />
        <template v-if="!closed">
          <el-button v-for="b in bars" :key="b.id" class="dye-button on-pipe" @click="onPipe = b.id">
            {{ bars.length > 1 ? w.pipe.openFor(barName(b.id)) : w.pipe.open }}
          </el-button>
        </template>
        <ChoiceRow
          v-for="c in choices"
          :key="c.id"
          v-model="form.choices[c.id]!"
          :label="c.label"
          show-label
          on-dye
          :disabled="closed"
          :options="c.options"
        />
        <ChoiceRow
          v-if="method.reads === 'dials' && !atDrum"
          :ref="keep('turning')"
          v-model="form.turning"
          :note="read.remarks.turning?.text"
          :label="w.view.turning"
          show-label
          on-dye
          :disabled="closed"
          :options="[
            { value: 'both', name: w.view.both },
            { value: 'movable', name: names.movable },
            { value: 'stationary', name: w.view.other },
          ]"
        />
        <div v-if="stillMarks.length" class="still">
          <span>{{ w.stillHub.label }}</span>
          <PickOne
            v-model="form.markUp"
            on-dye
            :label="w.stillHub.label"
            :options="[
              { value: '', name: w.stillHub.leave },
              ...stillMarks.map((m) => ({ value: String(m), name: clockFace(m) })),
            ]"
            :disabled="closed"
          />
        </div>
      </div>
      <div v-if="method.reads === 'dials'" class="row turn">
        <p>{{ form.method === 'heads' ? w.view.turnHeads : w.view.turn }}</p>
        <NumberBox
          v-for="circle in method.circles(form.choices)"
          :key="circle"
          :ref="keep(`returned.${circle}`)"
          :model-value="form.returned[circle] ?? ''"
          v-bind="bind(`returned.${circle}`)"
          :label="returnLabel(circle, telling)"
          measure="displacement"
          signed
          @update:model-value="form.returned[circle] = $event"
        />
      </div>
      <div v-if="read.missesZero" class="why">
        <label for="set-up-why">{{ w.view.whyUsed }}</label>
        <el-input
          id="set-up-why"
          :ref="keep('why')"
          v-model="form.why"
          maxlength="500"
          @keydown.enter="enter('why')"
        />
      </div>
    </div>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline">
    <div>
      <h3>{{ w.checked }}</h3>
      <el-checkbox-group v-model="form.checked" :disabled="closed" :aria-label="w.checked" class="checks">
        <el-checkbox v-for="c in checks" :key="c" :value="c">{{ w.checks[c] }}</el-checkbox>
      </el-checkbox-group>
    </div>
    <label class="refit">
      <span>{{ w.refit }}</span>
      <el-input v-model="form.refit" :aria-label="w.refit" maxlength="300" :disabled="closed" />
    </label>
    <p v-if="stillHub && !atDrum">{{ stillHub }}</p>
    <p v-if="form.flange" class="muted">{{ f.mark }}</p>
    <p v-if="method.reads === 'dials'" class="muted">{{ safetyWords(telling.words).turning }}</p>
    <template v-if="job.measured?.setUp && !closed">
      <p v-if="form.correcting && sets" class="muted">
        {{ w.reapplies(setsWords(telling.words).count(sets)) }}
      </p>
      <p v-else-if="!form.correcting" class="muted">{{ w.newOne }}</p>
      <el-button
        v-if="!form.correcting"
        link
        class="text-button"
        @click="correct(job.measured.setUp.entry.payload, job.measured.setUp.entry.id)"
      >
        {{ w.view.correctInForce }}
      </el-button>
      <el-button v-else link class="text-button" @click="clear()">{{ actions.leaveAsItWas }}</el-button>
    </template>
    <SheetLinks :method="form.method" />
    <ShowWorking v-if="read.payload" :steps="working" />
    <SagOnPipe
      v-if="later"
      v-model="pipeShown"
      :bar="capital(barName(onPipe))"
      :texts="form.pipe[onPipe] ?? NO_PIPE"
      :read="onPipe ? readPipe(form, onPipe, session.units) : null"
      :units="session.units"
      @text="(at, text) => (pipeOf(onPipe)[at] = text)"
      @take="takeSag"
    />
    <WhyDialog
      v-model="asking"
      :title="w.view.correct"
      :question="actions.whatWasWrong"
      :action="actions.logCorrection"
      @say="logCorrection"
    />
    <template #next>
      <el-button v-if="closed" class="next-button" @click="goOn()">{{ actions.goOn }}</el-button>
      <el-button v-else class="next-button" @click="log">
        {{ nextWords }}
      </el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
h3 {
  font-size: 15px;
}
.checks :deep(.el-checkbox) {
  display: flex;
  height: auto;
  min-height: 40px;
  margin-right: 0;
  white-space: normal;
}
.checks :deep(.el-checkbox__label) {
  line-height: 1.25;
}
.tape {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px 18px;
}
.tape p {
  flex: 1 1 260px;
  margin: 0;
  font-size: 14px;
  color: var(--scribe);
}
.method {
  flex: none;
  width: 250px;
}
.fields {
  display: grid;
  gap: 12px;
  padding-top: 8px;
}
.row {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 12px 14px;
  align-items: start;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
}
.graduation {
  width: 126px;
}
.on-pipe {
  align-self: end;
}
.still span,
.refit span {
  display: block;
  font-size: 14px;
}
.still span {
  color: var(--scribe);
}
.still .pick {
  width: 190px;
}
.turn {
  grid-template-columns: 1.6fr 1fr 1fr;
  align-items: end;
  border-top: 1px solid var(--dye-line);
  padding-top: 10px;
}
.why label {
  display: block;
  font-size: 14px;
  margin-bottom: 4px;
  color: var(--out-on-dye);
}
@media (max-width: 860px) {
  .row:not(.choices):not(.turn) {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
@media (max-width: 640px) {
  .turn {
    grid-template-columns: 1fr 1fr;
  }
  .turn p {
    grid-column: 1 / -1;
  }
}
</style>
