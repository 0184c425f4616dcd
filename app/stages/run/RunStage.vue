<script setup lang="ts">
import { timeWords } from '~~/shared/wording/days'
import type { RunPoint } from '~~/core/stages/run/entries'
import { readTypedNumber } from '~~/core/units/typedNumber'
import { amperes, meaningOfRun } from '~~/shared/wording/drive'
import { actionsWords, runWords, safetyWords, typingWords } from '~~/shared/wording/en'

/** Turned by hand, tools out, guard on, run and listened to, in this order. */
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => runWords(telling.value.words))
const v = computed(() => w.value.view)
const state = computed(() => (job.belt ?? job.gear)!)
const closed = computed(() => state.value.closing !== null)
const running = computed(() => state.value.running)
const meaning = computed(() => meaningOfRun(running.value, telling.value, job.gear !== null))
const next = computed(() => (closed.value ? null : (running.value.bad[0] ?? running.value.next)))
const { draft: form } = useDraft('run', () => ({ current: '' }))
const current = computed(() => {
  const read = readTypedNumber(form.value.current, 'plain', session.units)
  if (read.ok)
    return read.value < 0
      ? { fault: typingWords(telling.value.words).belowZero, value: null }
      : { fault: '', value: read.value }
  return {
    fault: read.fault === 'empty' ? '' : typingWords(telling.value.words).faults[read.fault],
    value: null,
  }
})
const ledger = useTemplateRef<{ focusNext: () => void }>('ledger')
const say = (point: RunPoint, found: 'good' | 'bad', words = '') => {
  if (point === 'ran' && current.value.fault) return
  const drawn = point === 'ran' ? current.value.value : null
  if (!job.log({ kind: 'run-confirmed', payload: { point, found, current: drawn, words } })) return
  if (point === 'ran') form.value.current = ''
  void nextTick(() => ledger.value?.focusNext())
}
const wrong = ref(false)
</script>

<template>
  <BoardFrame :title="v.title" :note="v.note">
    <ol class="points">
      <li
        v-for="(row, i) in running.rows"
        :key="row.point"
        :class="{ turn: row.point === next, bad: row.entry?.payload.found === 'bad' }"
      >
        <span class="number figure">{{ i + 1 }}</span>
        <div>
          <h3>{{ w.points[row.point].name }}</h3>
          <p>{{ job.gear ? w.gears[row.point] : w.points[row.point].detail }}</p>
          <p v-if="row.entry?.payload.words" class="said">{{ row.entry.payload.words }}</p>
        </div>
        <p v-if="row.entry" class="by">
          <VerdictMark :mark="row.entry.payload.found === 'bad' ? 'out' : 'done'" on-dye />
          {{ timeWords(row.entry.madeAt) }}, {{ session.personName(row.entry.author) }}
          <span v-if="row.entry.payload.current !== null" class="figure">{{
            amperes(row.entry.payload.current)
          }}</span>
        </p>
      </li>
    </ol>
  </BoardFrame>
  <LedgerFrame ref="ledger" :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-if="next === 'turned'" class="caution">{{ safetyWords(telling.words).turning }}</p>
    <p v-if="next === 'ran' || next === 'listened'" class="muted">{{ w.deferring }}</p>
    <NumberBox
      v-if="next === 'ran'"
      v-model="form.current"
      :label="v.current"
      measure="plain"
      :units="session.units"
      :note="current.fault"
      :note-is-fault="current.fault !== ''"
      @enter="say('ran', 'good')"
    />
    <WhyDialog
      v-model="wrong"
      :title="next ? w.points[next].name : ''"
      :question="v.whatIsWrong"
      :action="v.logBad"
      @say="next && say(next, 'bad', $event)"
    />
    <template #next>
      <template v-if="next">
        <PassOver v-if="running.facts.length === 0" stage="run" :title="v.passOver" />
        <el-button class="quiet-button" @click="wrong = true">{{ v.bad }}</el-button>
        <el-button class="next-button" @click="say(next, 'good')">{{ w.points[next].confirm }}</el-button>
      </template>
      <el-button v-else class="next-button" @click="goOn()">{{ actionsWords(telling.words).goOn }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.points {
  list-style: none;
  margin: 10px 0 0;
  padding: 0;
  display: grid;
  gap: 10px;
}
li {
  display: grid;
  grid-template-columns: 34px 1fr auto;
  gap: 14px;
  align-items: center;
  min-height: 84px;
  padding: 12px 16px;
  border: 1px solid var(--dye-line);
  border-radius: 4px;
}
li.turn {
  border-color: var(--brass-on-dye);
}
li.bad {
  border-color: var(--out-on-dye);
}
.number {
  font-size: 24px;
  color: var(--scribe-dim);
}
h3 {
  font-size: 18px;
  color: #fff;
}
li p {
  color: var(--scribe-dim);
}
.said {
  color: #fff;
}
.by {
  font-size: 14px;
  text-align: right;
  max-width: 170px;
}
@media (max-width: 640px) {
  li {
    grid-template-columns: 24px 1fr;
    padding: 10px 12px;
  }
  .by {
    grid-column: 2;
    text-align: left;
  }
}
</style>
