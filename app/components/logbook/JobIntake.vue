<script setup lang="ts">
import { blankTable } from '~~/shared/files/tableHeads'
import { JOB_TABLES } from '~~/shared/files/tableNames'
import { LARGEST_JOB_FILE } from '~~/shared/files/size'
import { jobFileWords } from '~~/shared/wording/en/jobFile'
import { csvFileWords } from '~~/shared/wording/en/csvFile'
import { jobTableWords } from '~~/shared/wording/en/jobTable'
import TablesSay from './TablesSay.vue'

/** Jobs out of files: one by its own file, or several by tables. What they would do is said before any of it is done. */
const emit = defineEmits<{ taken: [] }>()
const shown = defineModel<boolean>({ required: true })
const words = useWords()
const w = jobFileWords(words)
const t = jobTableWords(words)
const jobFile = useJobFileIntake()
const tables = useTablesIntake()
const chosen = shallowRef<'job' | 'tables'>('job')
const isTables = computed(() => chosen.value === 'tables')
const faults = shallowRef<readonly { readonly at: string; readonly message: string }[] | null>(null)
const said = ref('')
const working = ref(false)
const clear = () => {
  jobFile.clear()
  tables.clear()
  faults.value = null
  said.value = ''
}
useOnShown(shown, clear)

const fail = (message: string) => {
  faults.value = [{ at: '', message }]
}
/** Asks the server; what it has against the whole of it is said in the place of an answer. */
const tell = async (ask: () => Promise<void>) => {
  working.value = true
  try {
    await ask()
  } catch (failure) {
    if (!(failure instanceof ApiFailure)) throw failure
    jobFile.clear()
    tables.clear()
    faults.value = (failure.answer.issues ?? [failure.answer]).map(({ message }) => ({ at: '', message }))
  } finally {
    working.value = false
  }
}
const isJobFile = (text: string) => text.trimStart().startsWith('{')
const look = (text: string, all: readonly string[]) => {
  clear()
  if (all.includes(''))
    return fail(text === '' && all.length === 1 ? w.faults.tooLarge : csvFileWords.wrong({ is: 'empty' }))
  if (all.length > 1 && all.some(isJobFile)) return fail(w.mixed)
  chosen.value = isJobFile(text) ? 'job' : 'tables'
  return tell(async () => {
    await (isTables.value ? tables.look(all) : jobFile.look(text))
    faults.value = tables.answer.value?.faults ?? []
  })
}
const take = () =>
  tell(async () => {
    const done = await (isTables.value ? tables.take() : jobFile.take())
    jobFile.clear()
    faults.value = tables.answer.value?.faults ?? null
    said.value = done
    emit('taken')
  })
const wanted = computed(() => (isTables.value ? tables.wanted.value : jobFile.wanted.value))
</script>

<template>
  <FileIntake
    v-model="shown"
    :title="w.title"
    :hint="w.hint"
    :choose="w.choose"
    accept=".json,.csv,application/json,text/csv"
    width="min(860px, 96vw)"
    several
    :faults="faults"
    :wanted="wanted"
    :take="isTables ? t.take(wanted) : w.take"
    :said="said"
    :working="working"
    :largest="LARGEST_JOB_FILE"
    @read="look"
    @take="take"
  >
    <template #beside>
      <p class="blank muted">
        {{ t.blank }}
        <a
          v-for="table in JOB_TABLES"
          :key="table"
          :href="`data:text/csv;charset=utf-8,${encodeURIComponent(blankTable(table))}`"
          :download="t.blankName(table)"
          >{{ t.tables[table] }}</a
        >
      </p>
    </template>
    <TablesSay v-if="isTables" :rows="tables.rows.value" />
    <ul v-else-if="jobFile.says.value.length > 0">
      <li v-for="s in jobFile.says.value" :key="s">{{ s }}</li>
    </ul>
  </FileIntake>
</template>

<style scoped>
.blank {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
}
.blank a {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
}
</style>
