<script setup lang="ts">
import { drumWords } from '~~/shared/wording/en'
import type { Mark } from '~~/core/logbook/stage'
import type { Tram, TramStands } from '~~/core/stages/tram/steps'

/** The four steps of a tram: ordinals number the steps, the little drum says where it is read. */
defineProps<{ tram: Tram }>()
const w = drumWords(useWords())
const MARKS: Readonly<Record<TramStands, Mark>> = {
  in: 'in',
  edge: 'edge',
  out: 'out',
  unknown: 'todo',
  waits: 'todo',
  'not-needed': 'skipped',
}
</script>

<template>
  <ol class="steps" :aria-label="w.stepsName">
    <li v-for="(r, i) in tram.rows" :key="r.step" :class="{ turn: r.step === tram.turn }">
      <svg viewBox="0 0 60 60" aria-hidden="true">
        <circle cx="30" cy="32" r="20" />
        <g v-if="r.step === 'side' || r.step === 'side-again'" class="dots">
          <circle cx="10" cy="32" r="4.5" />
          <circle cx="50" cy="32" r="4.5" />
        </g>
        <circle v-else-if="r.step === 'height'" class="dots" cx="30" cy="12" r="4.5" />
        <path v-else class="blow" d="M31 12a20 20 0 0 1 9 3M44 2l-5 9M39 6v6l5 -3" />
      </svg>
      <div>
        <b>{{ w.ordinals[i] }} {{ w.steps[r.step].name }}</b>
        <span><VerdictMark :mark="MARKS[r.stands]" on-dye /> {{ w.stands[r.stands] }}</span>
        <small>{{ w.steps[r.step].read }}</small>
      </div>
    </li>
  </ol>
</template>

<style scoped>
.steps {
  list-style: none;
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 4px 10px;
  margin: 10px 0 0;
  padding: 0;
  border-top: 1px solid var(--dye-line);
}
li {
  display: flex;
  gap: 8px;
  align-items: start;
  padding: 8px 0 0;
  border-top: 3px solid transparent;
  margin-top: -2px;
  font-size: 14px;
}
li.turn {
  border-top-color: var(--brass-on-dye);
}
li > svg {
  flex: none;
  width: 46px;
  fill: none;
  stroke: var(--scribe-dim);
  stroke-width: 1.6;
}
.dots,
.dots circle {
  fill: #fff;
  stroke: none;
}
.turn .dots,
.turn .dots circle {
  fill: var(--brass-on-dye);
}
.blow {
  stroke: #fff;
  stroke-width: 3;
}
b {
  display: block;
  color: var(--scribe-dim);
  font-size: 15px;
}
.turn b {
  color: var(--brass-on-dye);
}
small {
  display: block;
  color: var(--scribe-dim);
  font-size: 13px;
}
@media (max-width: 760px) {
  .steps {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
