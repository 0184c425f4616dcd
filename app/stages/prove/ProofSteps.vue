<script setup lang="ts">
import { proveWords, proofStepsWords } from '~~/shared/wording/en'
import { timeWords } from '~~/shared/wording/days'
import type { MeasuredState } from '~~/core/jobs/measured'
import type { ProofStep } from '~~/core/stages/prove/checkProof'
import { isPoint } from '~~/core/stages/prove/checkProof'
import type { ProofPoint } from '~~/core/stages/prove/entries'
import { hubGap } from '~~/shared/wording/prove'

/** Each step of the proof in working order, with who confirmed it; those not yet are confirmed where they stand. */
const props = defineProps<{ state: MeasuredState; next: ProofStep | null; closed: boolean }>()
const emit = defineEmits<{ confirm: [point: ProofPoint] }>()
const session = useSession()
const telling = useTelling()
const w = computed(() => proveWords(telling.value.words))
const MARKS = { done: 'done', 'not-here': 'skipped', wrong: 'out', todo: 'todo' } as const

/** The entry that says how a step stands. */
const entryOf = (step: ProofStep) => {
  const { facts, measurement } = props.state.proof
  switch (step) {
    case 'rotation':
      return facts.rotation
    case 'made-up':
      return facts.madeUp
    default: {
      const set = step === 'read-coupled' ? measurement.sets.at(-1)?.set.entry : undefined
      return set ?? facts.confirmed.find((c) => c.payload.point === step) ?? null
    }
  }
}
const rows = computed(() =>
  props.state.proof.rows.map((row) => {
    const entry = row.stands === 'todo' ? null : entryOf(row.step)
    const gap = row.step === 'made-up' ? props.state.proof.gap : null
    return {
      ...row,
      words: proofStepsWords(telling.value.words)[row.step],
      by: entry ? `${timeWords(entry.madeAt)}, ${session.personName(entry.author)}` : '',
      gap: gap ? hubGap(gap.value, telling.value) : '',
    }
  }),
)
const offered = (step: ProofStep): step is ProofPoint => isPoint(step) && step !== 'read-coupled'
</script>

<template>
  <ol class="steps">
    <li v-for="(row, i) in rows" :key="row.step" :class="{ turn: row.step === next }">
      <span class="number figure">{{ i + 1 }}</span>
      <div class="what">
        <h3>
          {{ row.words.name }} <span v-if="row.gap" class="figure">{{ row.gap }}</span>
        </h3>
        <p>{{ row.words.detail }}</p>
      </div>
      <p v-if="row.stands !== 'todo'" class="by">
        <VerdictMark :mark="MARKS[row.stands]" on-dye /> {{ w.stands[row.stands] }}<br />{{ row.by }}
      </p>
      <el-button
        v-else-if="offered(row.step) && row.step !== next"
        class="dye-button"
        :disabled="closed"
        @click="emit('confirm', row.step)"
        >{{ row.words.confirm }}</el-button
      >
    </li>
  </ol>
</template>

<style scoped>
.steps {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  display: grid;
  align-content: start;
  gap: 5px;
}
li {
  display: grid;
  grid-template-columns: 26px 1fr auto;
  gap: 12px;
  align-items: center;
  min-height: 58px;
  padding: 5px 12px;
  border: 1px solid var(--dye-line);
  border-radius: 4px;
}
li.turn {
  border-color: var(--brass-on-dye);
}
.number {
  font-size: 19px;
  color: var(--scribe-dim);
}
h3 {
  font-size: 16px;
  color: #fff;
}
h3 .figure {
  margin-left: 8px;
  font-weight: 400;
}
.what p,
.by {
  font-size: 14px;
  line-height: 1.3;
  color: var(--scribe-dim);
}
.by {
  text-align: right;
  white-space: nowrap;
}
.by svg {
  vertical-align: -2px;
}
@media (max-width: 640px) {
  li {
    grid-template-columns: 24px 1fr;
  }
  li > .el-button,
  .by {
    grid-column: 2;
    justify-self: start;
    text-align: left;
  }
}
</style>
