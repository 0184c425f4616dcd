<script setup lang="ts">
import type { UploadFile } from 'element-plus'
import { readLimitsFile, type LimitsRead } from '~~/shared/limits/files'
import type { LimitSetRecord } from '~~/shared/limits/limitSet'
import { newId } from '~/device/newId'

/** Tables of limits out of a file: first what it would do and what is wrong, then taken over. */
const props = defineProps<{ known: readonly LimitSetRecord[] }>()
const emit = defineEmits<{ taken: [] }>()
const shown = defineModel<boolean>({ required: true })
const { limitSets } = useWords()
const w = limitSets.files
const read = shallowRef<LimitsRead | null>(null)
const said = ref('')
const working = ref(false)
watch(shown, () => {
  read.value = null
  said.value = ''
})
/** Larger than any file of limits: somebody chose another one. */
const LARGEST = 2_000_000
const choose = async ({ raw }: UploadFile) => {
  said.value = ''
  if (!raw) return
  read.value = readLimitsFile(raw.size > LARGEST ? '' : await raw.text(), props.known)
}
const wanted = computed(() => (read.value?.sets ?? []).filter((s) => s.is !== 'same'))
const take = async () => {
  working.value = true
  let taken = 0
  try {
    for (const { fields, known } of wanted.value) {
      if (known)
        await askServer(`/api/limits/${known.id}`, {
          method: 'PUT',
          body: { ...fields, version: known.version },
        })
      else await askServer('/api/limits', { method: 'POST', body: { ...fields, id: newId() } })
      taken++
    }
    said.value = w.taken(taken)
    read.value = null
  } catch (error) {
    if (!(error instanceof ApiFailure)) throw error
    said.value = `${w.taken(taken)} ${wanted.value[taken]?.fields.name ?? ''}: ${error.message}`
  }
  working.value = false
  emit('taken')
}
</script>

<template>
  <el-dialog v-model="shown" :title="w.title" width="min(640px, 96vw)" append-to-body destroy-on-close>
    <p>{{ w.hint }}</p>
    <el-upload
      :auto-upload="false"
      :show-file-list="false"
      accept=".csv,.json,text/csv,application/json"
      :on-change="choose"
    >
      <span class="el-button quiet-button">{{ w.choose }}</span>
    </el-upload>
    <p v-if="said" role="status">{{ said }}</p>
    <template v-if="read">
      <ul v-if="read.faults.length > 0" class="faults" role="alert">
        <li v-for="(f, i) in read.faults.slice(0, 40)" :key="i">
          <span class="figure">{{ f.at }}</span> {{ f.message }}
        </li>
      </ul>
      <ul v-if="read.sets.length > 0">
        <li v-for="s in read.sets" :key="s.fields.level + s.fields.coupling + s.fields.name">
          <strong>{{ s.fields.name }}</strong> {{ w.is[s.is] }}
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
