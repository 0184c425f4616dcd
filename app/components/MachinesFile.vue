<script setup lang="ts">
import type { UploadFile } from 'element-plus'
import { readMachinesCsv, type CsvRead } from '~~/shared/register/csv'
import type { MachineRecord } from '~~/shared/register/machine'
import { newId } from '~/device/newId'

/** Machines taken from a CSV file: first what each row would do and what is wrong, by line and column; then taken over. */
const props = defineProps<{ register: readonly MachineRecord[] }>()
const emit = defineEmits<{ taken: [] }>()
const shown = defineModel<boolean>({ required: true })
const {
  register: { csv: w },
} = useWords()
const read = shallowRef<CsvRead | null>(null)
const said = ref('')
const working = ref(false)
watch(shown, () => {
  read.value = null
  said.value = ''
})
/** Larger than any register in text: somebody chose another file. */
const LARGEST = 4_000_000
const choose = async ({ raw }: UploadFile) => {
  said.value = ''
  if (!raw) return
  const text = raw.size > LARGEST ? '' : await raw.text()
  read.value = readMachinesCsv(text, props.register)
}
const rows = computed(() => read.value?.rows ?? [])
const of = (is: 'new' | 'changed' | 'same' | 'faulty') => rows.value.filter((r) => r.is === is)
const wanted = computed(() => [...of('new'), ...of('changed')])
const faults = computed(() => [...(read.value?.faults ?? []), ...rows.value.flatMap((r) => r.faults)])
const take = async () => {
  working.value = true
  let taken = 0
  try {
    for (const row of wanted.value) {
      const known = props.register.find((m) => m.tag.toLowerCase() === row.tag.toLowerCase())
      if (known)
        await askServer(`/api/machines/${encodeURIComponent(known.tag)}`, {
          method: 'PUT',
          body: { ...row.record, version: known.version },
        })
      else await askServer('/api/machines', { method: 'POST', body: { ...row.record, id: newId() } })
      taken++
    }
    said.value = w.taken(taken)
    read.value = null
  } catch (error) {
    if (!(error instanceof ApiFailure)) throw error
    said.value = `${w.taken(taken)} ${wanted.value[taken]?.tag ?? ''}: ${error.message}`
  }
  working.value = false
  emit('taken')
}
</script>

<template>
  <el-dialog v-model="shown" :title="w.title" width="min(760px, 96vw)" append-to-body destroy-on-close>
    <p>{{ w.hint }}</p>
    <el-upload :auto-upload="false" :show-file-list="false" accept=".csv,text/csv" :on-change="choose">
      <span class="el-button quiet-button">{{ w.choose }}</span>
    </el-upload>
    <p v-if="said" role="status">{{ said }}</p>
    <template v-if="read">
      <p v-if="rows.length > 0">
        <strong>{{
          w.summary(of('new').length, of('changed').length, of('same').length, of('faulty').length)
        }}</strong>
      </p>
      <ul v-if="faults.length > 0" class="faults" role="alert">
        <li v-for="(f, i) in faults.slice(0, 40)" :key="i">
          <span class="figure">{{ w.fault(f.line, f.column) }}</span> {{ f.message }}
        </li>
      </ul>
      <ul v-if="wanted.length > 0">
        <li v-for="r in wanted.slice(0, 60)" :key="r.line">
          <strong class="figure">{{ r.tag }}</strong> {{ w.is[r.is]
          }}<template v-if="r.is === 'changed'">, {{ w.changes(r.changes.slice(0, 6).join(', ')) }}</template>
        </li>
      </ul>
      <el-button
        class="next-button"
        :disabled="wanted.length === 0 || working"
        :loading="working"
        @click="take"
        >{{ w.take(wanted.length) }}</el-button
      >
    </template>
  </el-dialog>
</template>

<style scoped>
p,
ul {
  margin: 10px 0;
}
ul {
  padding-left: 20px;
  max-height: 240px;
  overflow: auto;
}
.faults {
  border-left: 3px solid var(--out);
  padding-left: 16px;
  list-style: none;
}
.faults .figure {
  color: var(--muted);
  margin-right: 8px;
}
</style>
