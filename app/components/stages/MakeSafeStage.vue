<script setup lang="ts">
import { SAFETY_POINTS, type SafetyPoint } from '~~/core/logbook/entry'
import { SAFETY_NAMES, SAFETY_NOTE } from '~~/shared/wording/names'
import dayjs from 'dayjs'

const job = useJob()
const session = useSession()
const goOn = inject(goOnKey, () => {})
const { draft: typed } = useDraft('safety', () => ({ permit: '' }))
const asking = ref(false)

const safety = computed(() => job.state?.safety)
const confirmedBy = (point: SafetyPoint) => safety.value?.confirmed.find((c) => c.point === point)
const next = computed(() => safety.value?.missing[0] ?? null)
const closed = computed(() => job.state?.closed != null)

const confirm = (point: SafetyPoint) => {
  const last = safety.value?.missing.length === 1
  job.log({ kind: 'safety-confirmed', payload: { point, permit: typed.value.permit.trim() } })
  if (last) goOn()
}
const powerBack = (why: string) => job.log({ kind: 'power-restored', payload: { why } })
useNextKey(() => next.value && !closed.value && confirm(next.value))

const headline = computed(() => {
  if (safety.value?.powerBack) return 'Power came back. Lock out again before anyone reaches in.'
  if (next.value === null) return 'Locked out, released and tried. Hands may go to the shafts.'
  return next.value === 'isolated'
    ? 'Nothing is safe yet. Begin at the isolator.'
    : `Next: ${SAFETY_NAMES[next.value].name.toLowerCase()}.`
})
</script>

<template>
  <BoardFrame title="Make safe" note="confirm each on the machine, not from memory">
    <ol class="points">
      <li
        v-for="(point, i) in SAFETY_POINTS"
        :key="point"
        :class="{ turn: point === next, done: confirmedBy(point) }"
      >
        <span class="number figure">{{ i + 1 }}</span>
        <div class="what">
          <h3>{{ SAFETY_NAMES[point].name }}</h3>
          <p>{{ SAFETY_NAMES[point].detail }}</p>
        </div>
        <p v-if="confirmedBy(point)" class="by">
          <VerdictMark mark="done" on-dye /> {{ dayjs(confirmedBy(point)!.at).format('HH:mm') }},
          {{ session.personName(confirmedBy(point)!.by) }}
        </p>
        <button v-else type="button" class="dye-button" :disabled="closed" @click="confirm(point)">
          Confirm
        </button>
      </li>
    </ol>
    <label class="permit">
      Permit number, where the site has one
      <input v-model="typed.permit" class="figure" maxlength="60" :disabled="closed" />
    </label>
  </BoardFrame>
  <LedgerFrame
    :mark="next === null ? 'done' : 'todo'"
    :headline="headline"
    :detail="safety?.powerBack ?? undefined"
  >
    <TurnedDownEntries />
    <p>Each confirmation is logged with your name and the time.</p>
    <p class="muted">{{ SAFETY_NOTE }}</p>
    <p v-if="safety?.permit">
      Permit <strong class="figure">{{ safety.permit }}</strong>
    </p>
    <p v-if="job.state?.opened?.payload.note" class="muted">Job note: {{ job.state.opened.payload.note }}</p>
    <button
      v-if="safety?.confirmed.length && !closed"
      type="button"
      class="text-button"
      @click="asking = true"
    >
      Power came back on
    </button>
    <WhyDialog
      v-model="asking"
      title="Power came back on"
      question="Why? A bump test, a hot run, someone else’s work?"
      action="Log it; confirm everything again"
      @say="powerBack"
    />
    <template #next>
      <button v-if="next && !closed" type="button" class="next-button" @click="confirm(next)">
        Confirm: {{ SAFETY_NAMES[next].name.toLowerCase() }}
      </button>
      <button v-else type="button" class="next-button" @click="goOn()">Go on</button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.points {
  list-style: none;
  margin: 10px 0 0;
  padding: 0;
  flex: 1;
  display: grid;
  align-content: start;
  gap: 10px;
}
li {
  display: grid;
  grid-template-columns: 34px 1fr auto;
  gap: 14px;
  align-items: center;
  min-height: 88px;
  padding: 12px 16px;
  border: 1px solid var(--dye-line);
  border-radius: 4px;
}
li.turn {
  border-color: var(--brass-on-dye);
}
.number {
  font-size: 24px;
  color: var(--scribe-dim);
}
h3 {
  font-size: 18px;
  color: #fff;
}
.what p,
.by {
  color: var(--scribe-dim);
}
.by {
  font-size: 14px;
  text-align: right;
  max-width: 170px;
}
.by svg {
  vertical-align: -2px;
}
.permit {
  display: flex;
  align-items: center;
  gap: 12px;
  padding-top: 12px;
  color: var(--scribe-dim);
}
.permit input {
  flex: 1;
  max-width: 260px;
  min-height: var(--touch);
  padding: 0 10px;
  background: var(--dye-deep);
  border: 1px solid var(--scribe-dim);
  border-radius: 4px;
  color: #fff;
}
</style>
