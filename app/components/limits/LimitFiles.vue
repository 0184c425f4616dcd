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
const { read, look, wanted, take, said, working } = useFileTake<LimitsRead, ReadLimitSet>({
  shown,
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
  taken: w.taken,
  done: () => emit('taken'),
})
</script>

<template>
  <FileIntake
    v-model="shown"
    :title="w.title"
    :hint="w.hint"
    :choose="w.choose"
    accept=".csv,.json,text/csv,application/json"
    width="min(640px, 96vw)"
    :faults="read?.faults ?? null"
    :wanted="wanted.length"
    :take="w.take(wanted.length)"
    :said="said"
    :working="working"
    @read="look"
    @take="take"
  >
    <ul v-if="read && read.sets.length > 0">
      <li v-for="s in read.sets" :key="s.fields.level + s.fields.coupling + s.fields.name">
        <strong>{{ s.fields.name }}</strong> {{ w.is[s.is] }}
      </li>
    </ul>
  </FileIntake>
</template>
