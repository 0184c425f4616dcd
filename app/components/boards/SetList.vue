<script setup lang="ts">
import type { Measurement } from '~~/core/logbook/measurement'
import type { ReadingSet } from '~~/core/logbook/readingSet'
import { figure } from '~~/shared/wording/figures'

/** The sets logged so far, in words: what they read, whether they are used, what can be done with them. */
const props = defineProps<{ measurement: Measurement | undefined; taking: boolean }>()
defineEmits<{ correct: [set: ReadingSet]; leave: [id: string]; use: [id: string] }>()
const session = useSession()
const ORDINALS = ['First', 'Second', 'Third', 'Fourth', 'Fifth', 'Sixth', 'Seventh', 'Eighth']
const line = (set: ReadingSet, dial: 'rim' | 'face') =>
  set.readings[dial].map((r) => figure(r.value, 'displacement', session.units, { sign: true })).join(' / ')
const standing = (set: ReadingSet) => {
  if (set.leftOut !== null) return `left out: ${set.leftOut}`
  if (set.usedAnyway !== null) return `used anyway: ${set.usedAnyway}`
  if (props.measurement?.used.includes(set.entry.id)) return 'used'
  return set.sound ? 'not used: disagrees' : 'not used: fails its check'
}
</script>

<template>
  <ol v-if="measurement?.sets.length" class="sets" aria-label="Sets logged">
    <li v-for="(set, i) in measurement.sets" :key="set.entry.id">
      <span class="name"
        >{{ ORDINALS[i] ?? i + 1 }} set<span>{{ standing(set) }}</span></span
      >
      <span class="figure values">rim {{ line(set, 'rim') }}<br />face {{ line(set, 'face') }}</span>
      <span v-if="taking" class="acts">
        <button type="button" class="text-button" @click="$emit('correct', set)">Correct</button>
        <button
          v-if="set.leftOut === null"
          type="button"
          class="text-button"
          @click="$emit('leave', set.entry.id)"
        >
          Leave out
        </button>
        <button
          v-if="set.leftOut !== null"
          type="button"
          class="text-button"
          @click="$emit('use', set.entry.id)"
        >
          Use
        </button>
      </span>
    </li>
  </ol>
</template>

<style scoped>
.sets {
  list-style: none;
  margin: 10px 0 0;
  padding: 4px 0 0;
  border-top: 1px solid var(--dye-line);
}
li {
  display: grid;
  grid-template-columns: 130px 1fr auto;
  gap: 12px;
  align-items: center;
  padding: 4px 0;
}
.name {
  display: grid;
  color: #fff;
}
.name span {
  font-size: 13px;
  color: var(--scribe-dim);
}
.values {
  font-size: 15px;
  line-height: 1.4;
}
</style>
