<script setup lang="ts">
import { quantityName } from '~~/shared/wording/quantities'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'
import { misalignmentWords } from '~~/shared/wording/directions'
import { TRUST_NAMES, VERDICT_NAMES } from '~~/shared/wording/names'
import { readingsWorking } from '~~/shared/working/readings'
import dayjs from 'dayjs'

const job = useJob()
const session = useSession()
const { draft: form, clear } = useDraft('close', () => ({ signedBy: '', remarks: '', exception: '' }))

const state = computed(() => job.state)
const found = computed(() => state.value?.asFound ?? null)
const left = computed(() => state.value?.asLeft ?? null)
const closed = computed(() => state.value?.closed ?? null)
const verdict = computed(() => left.value?.judgement?.verdict ?? 'unknown')
const unmeasured = computed(
  () => (state.value?.moves.length ?? 0) > 0 && state.value?.latest.coupling === null,
)
const needsException = computed(
  () =>
    verdict.value === 'out' ||
    verdict.value === 'unknown' ||
    unmeasured.value ||
    left.value?.trust === 'doubtful',
)
const rows = computed(() =>
  (left.value?.judgement?.quantities ?? []).map((q) => {
    const before = found.value?.judgement?.quantities.find((b) => b.name === q.name)
    return { q, before }
  }),
)
const headline = computed(() => {
  if (closed.value) return `Closed and signed by ${closed.value.payload.signedBy}.`
  if (!left.value) return 'Nothing was measured. Say why before you close it.'
  if (unmeasured.value) return 'It was moved and not measured since. Measure, or say why not.'
  if (verdict.value === 'in') return 'Left in band. Torque the bolts, guard on, sign.'
  if (verdict.value === 'edge') return 'Left inside the limit, near its edge. Another move may be worth it.'
  return 'Left out of band. It can be closed only with a reason.'
})
const canSign = computed(
  () =>
    form.value.signedBy.trim() !== '' &&
    (!needsException.value || form.value.exception.trim() !== '') &&
    session.authorId !== '',
)
const sign = () => {
  if (!canSign.value || closed.value) return
  job.log({
    kind: 'job-closed',
    payload: {
      signedBy: form.value.signedBy.trim(),
      remarks: form.value.remarks.trim(),
      exception: form.value.exception.trim(),
    },
  })
  clear()
}
useNextKey(() => (closed.value ? null : sign()))
const report = (paper: 'a4' | 'letter') =>
  `/api/jobs/${job.id}/report.pdf?paper=${paper}&units=${session.units}`
const limit = (q: (typeof rows.value)[number]['q']) =>
  q.low !== null && q.high !== null && q.low !== -q.high && q.low !== 0
    ? `${figure(q.low, q.kind, session.units)}…${figure(q.high, q.kind, session.units)}`
    : figure(q.high ?? q.low, q.kind, session.units)
const working = computed(() =>
  state.value && left.value ? readingsWorking(state.value, left.value, session.units) : [],
)
</script>

<template>
  <BoardFrame
    title="As found, as left"
    :note="`${state?.moves.length ?? 0} ${state?.moves.length === 1 ? 'move' : 'moves'} between them`"
  >
    <div v-if="left" class="views">
      <div class="sums">
        <p>
          <span>As found</span><VerdictMark :mark="found?.judgement?.verdict ?? 'unknown'" on-dye />
          <strong>{{ VERDICT_NAMES[found?.judgement?.verdict ?? 'unknown'] }}</strong>
        </p>
        <p class="words">
          {{ found?.coupling ? misalignmentWords(found.coupling, session.units) : 'not measured' }}
        </p>
        <p class="muted-on-dye">{{ found ? TRUST_NAMES[found.trust] : '' }}</p>
      </div>
      <div class="sums">
        <p>
          <span>As left</span><VerdictMark :mark="verdict" on-dye />
          <strong>{{ VERDICT_NAMES[verdict] }}</strong>
        </p>
        <p class="words">
          {{ left.coupling ? misalignmentWords(left.coupling, session.units) : 'not measured' }}
        </p>
        <p class="muted-on-dye">{{ TRUST_NAMES[left.trust] }}</p>
      </div>
    </div>
    <table v-if="rows.length" class="compare">
      <thead>
        <tr>
          <th scope="col">judged at {{ state?.rpm }} rpm</th>
          <th scope="col">as found</th>
          <th scope="col">as left</th>
          <th scope="col">limit</th>
          <th scope="col">unit</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ q, before } in rows" :key="q.name">
          <td><VerdictMark :mark="q.verdict" on-dye /> {{ quantityName(q.name) }}</td>
          <td class="figure"><SignedFigure :quantity="q" :value="before?.value ?? null" /></td>
          <td class="figure big"><SignedFigure :quantity="q" :value="q.value" /></td>
          <td class="figure">{{ limit(q) }}</td>
          <td>{{ UNIT_NAMES[session.units][q.kind] }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else class="empty">No measurement stands in this job yet.</p>
    <OverlaidShafts
      v-if="state && left?.coupling"
      :state="state"
      :found="found?.coupling ?? null"
      :left="left.coupling"
    />
  </BoardFrame>
  <LedgerFrame :mark="closed ? 'done' : verdict" :headline="headline">
    <TurnedDownEntries />
    <template v-if="closed">
      <p>
        {{ dayjs(closed.madeAt).format('D MMM YYYY, HH:mm') }}. Written by
        {{ session.personName(closed.author) }}.
      </p>
      <p v-if="closed.payload.remarks">{{ closed.payload.remarks }}</p>
      <p v-if="closed.payload.exception"><strong>Exception:</strong> {{ closed.payload.exception }}</p>
    </template>
    <form v-else class="sign" @submit.prevent="sign">
      <label>Signature name<el-input v-model="form.signedBy" maxlength="120" autocomplete="off" /></label>
      <label>Remarks<el-input v-model="form.remarks" type="textarea" :rows="3" maxlength="4000" /></label>
      <label v-if="needsException"
        >Reason for closing it like this<el-input
          v-model="form.exception"
          type="textarea"
          :rows="2"
          maxlength="1000"
      /></label>
      <p class="muted">
        Before you sign: bolts at torque in the numbered order, shafts turn freely, guard on.
      </p>
    </form>
    <ShowWorking :steps="working" />
    <template #next>
      <template v-if="closed">
        <a class="next-button" :href="report('a4')" target="_blank" rel="noopener">Open the report, A4</a>
        <a class="text-button letter" :href="report('letter')" target="_blank" rel="noopener"
          >Report on Letter paper</a
        >
      </template>
      <template v-else>
        <a v-if="left" class="text-button letter" :href="report('a4')" target="_blank" rel="noopener"
          >Look at the report so far</a
        >
        <button type="button" class="next-button" :disabled="!canSign" @click="sign">Sign and close</button>
      </template>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.views {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
  padding: 8px 0 12px;
}
.sums p:first-child {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 18px;
  color: #fff;
}
.sums span {
  color: var(--scribe-dim);
}
.muted-on-dye {
  color: var(--scribe-dim);
  font-size: 14px;
}
.compare {
  width: 100%;
  border-collapse: collapse;
}
.compare th {
  font-weight: 400;
  color: var(--scribe-dim);
  text-align: right;
  padding: 4px 0 4px 12px;
  font-size: 14px;
}
.compare td {
  border-top: 1px solid var(--dye-line);
  padding: 6px 0 6px 12px;
  text-align: right;
  color: #fff;
}
.compare th:first-child,
.compare td:first-child {
  text-align: left;
  padding-left: 0;
}
.compare td:last-child {
  color: var(--scribe-dim);
  font-size: 14px;
}
.compare svg {
  vertical-align: -3px;
}
.big {
  font-size: 20px;
}
.empty {
  margin: auto;
  color: var(--scribe-dim);
}
.sign {
  display: grid;
  gap: 12px;
}
.letter {
  display: grid;
  place-items: center;
}
</style>
