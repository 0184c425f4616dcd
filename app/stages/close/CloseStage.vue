<script setup lang="ts">
import { jobFileWords } from '~~/shared/wording/en/jobFile'
import { provisionalAtClose, trainOpenAtClose, unprovedAtClose, openAtClose } from '~~/shared/wording/atClose'
import { meaningOfClosing } from '~~/shared/wording/closing'
import { closingWords, verdictsWords } from '~~/shared/wording/en'
import dayjs from 'dayjs'
import CustomerSigns from './CustomerSigns.vue'
import { FOLD_VERSION, signedOtherwise } from '~~/core/stages/close/closing'
import { dayOf } from '~~/core/comeBack/days'
import { dueByRule } from '~~/core/comeBack/rules'
import { beltsToday } from '~~/core/stages/close/beltsToday'
import { namesFor } from '~~/core/register/drive'
import {
  DUE_FOR,
  DUE_ONLY_FOR,
  dueAdvised,
  dueOfBelts,
  urgencyOf,
  type DueFor,
} from '~~/core/stages/close/due'
import { ruleWords } from '~~/shared/wording/comeBack'
import { customerSigned, customerStands, NOBODY_SIGNED } from '~~/shared/stages/close/customer'
import { dueWords } from '~~/shared/wording/due'
import { limitSource } from '~~/shared/wording/tolerances'
import type { WorkingStep } from '~~/shared/working/step'
import { ahead, loadedAhead } from '../ahead'

const loadWorking = ahead(() => import('~~/shared/stages/measure/working'))
const loadGearWorking = ahead(() => import('~~/shared/stages/contact/working'))
const loadLineWorking = ahead(() => import('~~/shared/stages/lineUp/working'))
const BeltsAhead = defineAsyncComponent(() => import('./BeltsAhead.vue'))
const TrainClosing = loadedAhead(() => import('./TrainClosing.vue'))
const CouplingClosing = loadedAhead(() => import('./CouplingClosing.vue'))
const DrumClosing = loadedAhead(() => import('./DrumClosing.vue'))
const GearClosing = loadedAhead(() => import('./GearClosing.vue'))
const FlangeClosing = loadedAhead(() => import('./FlangeClosing.vue'))
const CustomerHand = loadedAhead(() => import('./CustomerHand.vue'))
const LineClosing = loadedAhead(() => import('./LineClosing.vue'))

const job = useJob()
const session = useSession()
const telling = useTelling()
const w = computed(() => closingWords(telling.value.words))
const { draft: form, clear } = useDraft('close', () => ({
  signedBy: '',
  remarks: '',
  exception: '',
  dueFor: '' as DueFor | 'none' | '',
  dueOn: '',
  dueWords: '',
  customer: NOBODY_SIGNED,
}))
const ledger = useTemplateRef<{ focusNext: () => void }>('ledger')
const reason = useTemplateRef<{ focus: () => void }>('reason')
const signature = useTemplateRef<{ focus: () => void }>('signature')

const state = computed(() => job.folded!.state)
const closed = computed(() => state.value.closing)
const outcome = computed(() => state.value.outcome)
/** Who closed it, and who stood by where they may not alone. */
const signer = computed(() => {
  const { author = '', second } = closed.value ?? {}
  const name = session.personName(author)
  return second === undefined ? name : w.value.view.withSecond(name, session.personName(second))
})
const meaning = computed(() => meaningOfClosing(closed.value, outcome.value, telling.value))
const differs = computed(() => signedOtherwise(closed.value, outcome.value))
/** What was found on the way and is nobody's verdict: pins still out, places to report. */
const stillOpen = computed(() =>
  job.train && !closed.value
    ? trainOpenAtClose(job.train, telling.value)
    : job.opened && !closed.value
      ? [
          ...openAtClose(job.opened.looks, telling.value),
          ...(job.measured ? unprovedAtClose(job.measured, telling.value) : []),
          ...(job.coupled ? provisionalAtClose(job.coupled, telling.value) : []),
        ]
      : [],
)
const needsException = computed(() => outcome.value.exceptions.length > 0)
/** Near the edge only: it may be better, and somebody says why it is good enough. */
const reasonAsked = computed(() =>
  outcome.value.exceptions.every((e) => e === 'edge') ? w.value.view.accepted : w.value.view.reason,
)
const lacksReason = computed(() => needsException.value && form.value.exception.trim() === '')
/** What the customer reads before they sign: how it was left, the exception and the remarks. */
const customerReads = computed(() => {
  const { exception, remarks } = form.value
  return [
    w.value.customer.left[outcome.value.verdict],
    ...(needsException.value && exception.trim() ? [w.value.customer.reason(exception.trim())] : []),
    ...stillOpen.value,
    ...(remarks.trim() ? [w.value.customer.remarks(remarks.trim())] : []),
  ]
})
const customer = computed(() => customerStands(form.value.customer, customerReads.value))
const canSign = computed(
  () =>
    form.value.signedBy.trim() !== '' &&
    !lacksReason.value &&
    !duePassed.value &&
    customer.value !== 'stale' &&
    session.authorId !== '',
)
const advised = computed((): DueFor => {
  if (job.belt) return dueOfBelts(beltsToday(job.belt, dayOf(new Date())))
  return dueAdvised({
    provisional:
      (job.coupled !== null && job.coupled.expected !== null) ||
      (job.train?.couplings.some((c) => c.state.expected !== null) ?? false),
    moved:
      (job.train?.rounds ?? 0) > 0 ||
      (job.measured?.moves.length ?? 0) > 0 ||
      (job.gear?.rounds.length ?? 0) > 1,
  })
})
/** What this kind of drive is come back to for. */
const dueChoices = computed(() => namesFor(DUE_FOR, DUE_ONLY_FOR, state.value.machine.drive))
const dueWhat = computed(() => form.value.dueFor || advised.value)
/** The machine's own rule, the works', or a starting value. */
const byRule = computed(() =>
  dueWhat.value === 'none'
    ? null
    : dueByRule(dueWhat.value, dayOf(new Date()), {
        machine: state.value.machine.comeBack,
        works: session.works?.comeBack,
      }),
)
const due = computed(() => {
  if (dueWhat.value === 'none' || !byRule.value) return null
  const what = dueWhat.value
  const words = what === 'other' ? (form.value.dueWords ?? '').trim() : ''
  return { on: form.value.dueOn || byRule.value.on, what, words }
})
const duePassed = computed(
  () => due.value !== null && urgencyOf(due.value.on, dayOf(new Date())) === 'overdue',
)
const pickDue = (what: string) => {
  form.value.dueFor = what as DueFor | 'none'
  form.value.dueOn = ''
}
const sign = () => {
  if (!canSign.value || closed.value) return
  const logged = job.log({
    kind: 'job-closed',
    payload: {
      signedBy: form.value.signedBy.trim(),
      remarks: form.value.remarks.trim(),
      exception: needsException.value ? form.value.exception.trim() : '',
      due: due.value,
      customer: customerSigned(form.value.customer),
      signed: { verdict: outcome.value.verdict, foldVersion: FOLD_VERSION },
    },
  })
  if (logged) clear()
}
const report = (paper: 'a4' | 'letter') =>
  `/api/jobs/${job.id}/report.pdf?paper=${paper}&units=${session.units}&view=${job.viewFrom}`
const working = async (): Promise<readonly WorkingStep[]> => {
  const [measured, belt, to] = [job.measured, job.belt, telling.value]
  if (job.train) {
    const { readingsWorking } = await loadWorking()
    return job.train.couplings.flatMap(({ part, state: own }) => {
      if (!own.asLeft) return []
      const told = to.of(part.machine)
      const about = { rpm: own.rpm, source: limitSource(own, told) }
      return readingsWorking(own.asLeft, about, told).map((s) => ({ ...s, name: `${part.name}: ${s.name}` }))
    })
  }
  if (job.gear) return (await loadGearWorking()).contactWorking(job.gear, to)
  if (measured?.asLeft) {
    const about = { rpm: measured.rpm, source: limitSource(measured, to) }
    return (await loadWorking()).readingsWorking(measured.asLeft, about, to)
  }
  if (!belt?.asLeft) return []
  const round = belt.alignment.findLast((r, i) => belt.lines[i])
  return (await loadLineWorking()).lineWorking(belt.asLeft, round?.reading ?? null, to)
}
/** Enter in the signature goes on to what is still missing, then to the button. */
const enter = () => (lacksReason.value ? reason.value?.focus() : ledger.value?.focusNext())
onMounted(() => {
  // The works' rules say when to come back: asked for again where they could not be had before.
  if (!session.works) void session.meetPeople().catch(() => null)
  if (!closed.value && matchMedia('(pointer: fine)').matches)
    (lacksReason.value ? reason : signature).value?.focus()
})
</script>

<template>
  <TrainClosing v-if="job.train" :state="job.train" />
  <CouplingClosing v-else-if="job.coupled" :state="job.coupled" />
  <DrumClosing v-else-if="job.drum" :state="job.drum" />
  <FlangeClosing v-else-if="job.flange" :state="job.flange" />
  <GearClosing v-else-if="job.gear" :state="job.gear" />
  <LineClosing v-else-if="job.belt" :state="job.belt" />
  <LedgerFrame
    ref="ledger"
    desk-work
    :mark="meaning.mark"
    :headline="meaning.headline"
    :detail="
      differs
        ? w.signedOtherwise(
            verdictsWords(telling.words)[differs.signed],
            verdictsWords(telling.words)[differs.now],
          )
        : undefined
    "
  >
    <p v-for="line in stillOpen" :key="line" class="caution">{{ line }}</p>
    <VibrationNote moment="after" />
    <template v-if="closed">
      <p>
        {{ w.view.written(dayjs(closed.madeAt).format('D MMM YYYY, HH:mm'), signer) }}
      </p>
      <p v-if="closed.payload.remarks">{{ closed.payload.remarks }}</p>
      <CustomerHand v-if="closed.payload.customer" :signed="closed.payload.customer" />
      <p v-if="closed.payload.due">{{ dueWords(closed.payload.due, telling) }}</p>
      <p v-if="closed.payload.exception">
        <strong>{{ w.view.exception }}</strong> {{ closed.payload.exception }}
      </p>
    </template>
    <form v-else class="question" @submit.prevent="sign">
      <label v-if="needsException"
        ><span>{{ reasonAsked }}</span>
        <el-input
          ref="reason"
          v-model="form.exception"
          :aria-label="reasonAsked"
          type="textarea"
          :rows="2"
          maxlength="1000"
        />
      </label>
      <label
        ><span>{{ w.view.signature }}</span>
        <el-input
          ref="signature"
          v-model="form.signedBy"
          :aria-label="w.view.signature"
          maxlength="120"
          autocomplete="off"
          @keydown.enter.prevent="enter"
        />
      </label>
      <label
        ><span>{{ w.view.remarks }}</span>
        <el-input
          v-model="form.remarks"
          :aria-label="w.view.remarks"
          type="textarea"
          :rows="3"
          maxlength="4000"
        />
      </label>
      <div class="due">
        <div>
          <span>{{ w.due.ask }}</span>
          <PickOne
            :label="w.due.ask"
            :model-value="dueWhat"
            :options="[
              ...dueChoices.map((value) => ({ value: value as string, name: w.due.what[value] })),
              { value: 'none', name: w.due.none },
            ]"
            @update:model-value="pickDue"
          />
        </div>
        <div v-if="due">
          <span>{{ w.due.on }}</span>
          <PickDay :label="w.due.on" :model-value="due.on" @update:model-value="form.dueOn = $event" />
        </div>
      </div>
      <label v-if="dueWhat === 'other'"
        ><span>{{ w.due.whatElse }}</span>
        <el-input v-model="form.dueWords" :aria-label="w.due.whatElse" maxlength="200" />
      </label>
      <p v-if="duePassed" class="caution" role="alert">{{ w.due.past }}</p>
      <p v-else-if="byRule && !form.dueOn" class="muted">{{ ruleWords(byRule, telling) }}</p>
      <BeltsAhead v-if="job.belt" :state="job.belt" :due="due?.on ?? null" />
      <CustomerSigns
        v-model="form.customer"
        :over="customerReads"
        :title="
          w.customer.title(`${job.machine?.tag} ${job.machine?.name}`, state.opening?.payload.customer ?? '')
        "
      />
      <p class="muted">{{ w.view.before }}</p>
    </form>
    <ShowWorking
      v-if="job.train || job.measured?.asLeft || job.belt?.asLeft || job.gear?.contact.now"
      :steps="working"
    />
    <template #next>
      <template v-if="closed">
        <el-button
          v-if="!job.practising"
          tag="a"
          class="next-button"
          :href="report('a4')"
          target="_blank"
          rel="noopener"
          >{{ w.view.openReport }}</el-button
        >
        <el-button
          v-if="!job.practising"
          tag="a"
          link
          class="text-button"
          :href="report('letter')"
          target="_blank"
          rel="noopener"
          >{{ w.view.onLetter }}</el-button
        >
        <el-button
          v-if="!job.practising"
          tag="a"
          link
          class="text-button"
          :href="`${report('a4')}&names=no`"
          target="_blank"
          rel="noopener"
          >{{ w.view.withoutNames }}</el-button
        >
        <el-button
          v-if="!job.practising"
          tag="a"
          link
          class="text-button"
          :href="`/api/jobs/${job.id}/job.json`"
          :title="jobFileWords(telling.words).outNote"
          download
          >{{ jobFileWords(telling.words).out }}</el-button
        >
      </template>
      <template v-else>
        <el-button
          v-if="!job.practising"
          tag="a"
          link
          class="text-button"
          :href="report('a4')"
          target="_blank"
          rel="noopener"
          >{{ w.view.reportSoFar }}</el-button
        >
        <el-button class="next-button" :disabled="!canSign" @click="sign">{{ w.view.sign }}</el-button>
      </template>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.due {
  display: grid;
  grid-template-columns: 1.25fr 1fr;
  gap: 10px;
}
.due :deep(.el-date-editor) {
  width: 100%;
}
</style>
