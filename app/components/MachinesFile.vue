<script setup lang="ts">
import { recordWords } from '~~/shared/wording/viewWords'
import { readMachinesCsv, type CsvRead, type CsvRow } from '~~/shared/register/csv'
import type { MachineRecord } from '~~/shared/register/machine'
import { newId } from '~/device/newId'

/** Machines taken from a CSV file. */
const props = defineProps<{ register: readonly MachineRecord[] }>()
const emit = defineEmits<{ taken: [] }>()
const shown = defineModel<boolean>({ required: true })
const w = recordWords.csv
const { read, wanted, intake } = useFileTake<CsvRead, CsvRow>({
  shown,
  words: w,
  read: (text) => readMachinesCsv(text, props.register),
  wanted: ({ rows: found }) => [
    ...found.filter((r) => r.is === 'new'),
    ...found.filter((r) => r.is === 'changed'),
  ],
  send: (row) => {
    const known = props.register.find((m) => m.tag.toLowerCase() === row.tag.toLowerCase())
    return known
      ? askServer(`/api/machines/${encodeURIComponent(known.tag)}`, {
          method: 'PUT',
          body: { ...row.record, version: known.version },
        })
      : askServer('/api/machines', { method: 'POST', body: { ...row.record, id: newId() } })
  },
  name: (row) => row.tag,
  faults: ({ faults, rows: found }) =>
    [...faults, ...found.flatMap((r) => r.faults)].map((f) => ({
      at: w.fault(f.line, f.column),
      message: f.message,
    })),
  done: () => emit('taken'),
})
const rows = computed(() => read.value?.rows ?? [])
const of = (is: 'new' | 'changed' | 'same' | 'faulty') => rows.value.filter((r) => r.is === is)
</script>

<template>
  <FileIntake v-model="shown" v-bind="intake" accept=".csv,text/csv" width="min(760px, 96vw)">
    <template #summary>
      <p v-if="rows.length > 0">
        <strong>{{
          w.summary(of('new').length, of('changed').length, of('same').length, of('faulty').length)
        }}</strong>
      </p>
    </template>
    <ul v-if="wanted.length > 0">
      <li v-for="r in wanted.slice(0, 60)" :key="r.line">
        <strong class="figure">{{ r.tag }}</strong> {{ w.is[r.is]
        }}<template v-if="r.is === 'changed'">, {{ w.changes(r.changes.slice(0, 6).join(', ')) }}</template>
      </li>
    </ul>
  </FileIntake>
</template>
