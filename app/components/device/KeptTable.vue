<script setup lang="ts">
import { deviceWords } from '~~/shared/wording/en'
import { momentWords, timeWords } from '~~/shared/wording/days'
import { keepFresh } from '~/device/keepFresh'
import { letGo, noteKeep, type Keep } from '~/device/keeps'

/** Jobs and machines that this device keeps: pinned, let go of, fetched anew. */
const props = defineProps<{ keeps: readonly Keep[] }>()
const emit = defineEmits<{ changed: [] }>()
const outbox = useOutbox()
const session = useSession()
const words = useWords()
const w = deviceWords(words).kept
const waits = computed(() => new Set(outbox.rows.map((r) => r.job)))
const rows = computed(() =>
  props.keeps
    .filter((k) => k.opened || k.pinned)
    .map((k) => ({
      ...k,
      to: k.what === 'job' ? `/jobs/${k.id}` : `/machines/${encodeURIComponent(k.id)}`,
      kind: k.what === 'machine' ? w.machine : k.closed ? w.closedJob : w.job,
      used: momentWords(k.usedAt, { words }),
      copied: k.copiedAt === null ? w.never : momentWords(k.copiedAt, { words }),
      full: `${k.tag} ${k.name}`,
      waits: waits.value.has(k.id),
    })),
)
const pin = async (keep: Keep, pinned: boolean) => {
  await noteKeep(keep.what, keep.id, { pinned })
  emit('changed')
}
const drop = async (keep: Keep) => {
  await letGo(keep)
  emit('changed')
}
const freshening = ref(false)
const away = ref(false)
const fetchedAt = ref('')
const freshen = async () => {
  freshening.value = true
  away.value = !(await keepFresh(session.authorId))
  if (!away.value) fetchedAt.value = timeWords(Date.now())
  freshening.value = false
  emit('changed')
}
</script>

<template>
  <section :aria-label="w.title">
    <div class="head">
      <h2>{{ w.title }}</h2>
      <el-button class="quiet-button" :disabled="freshening" @click="freshen">{{
        freshening ? w.freshening : w.freshen
      }}</el-button>
    </div>
    <p class="muted">{{ w.note }}</p>
    <p v-if="away" role="alert">{{ w.away }}</p>
    <p v-else-if="fetchedAt" role="status">{{ w.fetched(fetchedAt) }}</p>
    <p v-if="rows.length === 0">{{ w.none }}</p>
    <el-table v-else :data="rows" row-key="key" class="panel">
      <el-table-column :label="w.columns.what" min-width="240">
        <template #default="{ row }"
          ><NuxtLink :to="row.to">{{ row.full }}</NuxtLink
          ><span class="muted kind">{{ row.kind }}</span></template
        >
      </el-table-column>
      <el-table-column prop="used" :label="w.columns.used" min-width="120" />
      <el-table-column prop="copied" :label="w.columns.copied" min-width="120" />
      <el-table-column :label="w.columns.pinned" width="90">
        <template #default="{ row }"
          ><el-checkbox
            :model-value="row.pinned"
            :aria-label="w.pin(row.full)"
            @update:model-value="pin(row as Keep, $event === true)"
        /></template>
      </el-table-column>
      <el-table-column width="130" align="right">
        <template #default="{ row }">
          <span v-if="row.waits" class="muted">{{ w.waits }}</span>
          <el-button
            v-else
            link
            class="text-button"
            :aria-label="w.letGoOf(row.full)"
            @click="drop(row as Keep)"
            >{{ w.letGo }}</el-button
          >
        </template>
      </el-table-column>
    </el-table>
  </section>
</template>

<style scoped>
.kind {
  margin-left: 8px;
}
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 16px;
  margin-top: 22px;
}
.head h2 {
  margin: 0;
}
.el-table {
  margin-top: 10px;
}
</style>
