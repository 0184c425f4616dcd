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
const read = shallowRef<LimitsRead | null>(null)
const { said, working, takeAll } = useTakeOver<ReadLimitSet>({
  send: ({ fields, known }) =>
    known
      ? askServer(`/api/limits/${known.id}`, {
          method: 'PUT',
          body: { ...fields, version: known.version },
        })
      : askServer('/api/limits', { method: 'POST', body: { ...fields, id: newId() } }),
  name: ({ fields }) => fields.name,
  taken: w.taken,
})
useOnShown(shown, () => {
  read.value = null
  said.value = ''
})
const look = (text: string) => {
  said.value = ''
  read.value = readLimitsFile(text, props.known)
}
const wanted = computed(() => (read.value?.sets ?? []).filter((s) => s.is !== 'same'))
const take = async () => {
  if (await takeAll(wanted.value)) read.value = null
  emit('taken')
}
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
