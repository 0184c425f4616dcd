<script setup lang="ts">
import { limitSetWords } from '~~/shared/wording/viewWords'
import { readLimitsFile, type LimitsRead, type ReadLimitSet } from '~~/shared/limits/files'
import type { LimitSetRecord } from '~~/shared/limits/limitSet'
import { newId } from '~/device/newId'

/** Tables of limits out of a file. */
const props = defineProps<{ known: readonly LimitSetRecord[] }>()
const emit = defineEmits<{ taken: [] }>()
const shown = defineModel<boolean>({ required: true })
const w = limitSetWords.files
const { read, intake } = useFileTake<LimitsRead, ReadLimitSet>({
  shown,
  words: w,
  read: (text) => readLimitsFile(text, props.known),
  wanted: ({ sets }) => sets.filter((s) => s.is !== 'same'),
  send: ({ fields, known }) =>
    known
      ? askServer(`/api/limits/${known.id}`, {
          method: 'PUT',
          body: { ...fields, version: known.version },
        })
      : askServer('/api/limits', { method: 'POST', body: { ...fields, id: newId() } }),
  name: ({ fields }) => fields.name,
  faults: ({ faults }) => faults,
  done: () => emit('taken'),
})
</script>

<template>
  <FileIntake
    v-model="shown"
    v-bind="intake"
    accept=".csv,.json,text/csv,application/json"
    width="min(640px, 96vw)"
  >
    <ul v-if="read && read.sets.length > 0">
      <li v-for="s in read.sets" :key="s.fields.level + s.fields.coupling + s.fields.name">
        <strong>{{ s.fields.name }}</strong> {{ w.is[s.is] }}
      </li>
    </ul>
  </FileIntake>
</template>
