<script setup lang="ts">
import type { Page } from '~~/shared/api/answers'
import type { DeedLine } from '~~/shared/people/answers'
import { DEEDS } from '~~/shared/people/deeds'
import { peopleWords } from '~~/shared/wording/en'
import { dayWords, timeWords } from '~~/shared/wording/days'

/** Who did what, newest first: searched by words, person, what and days. Never changed, never deleted. */
const session = useSession()
const words = useWords()
const telling = useTelling()
const w = peopleWords(words).deeds
const narrow = useMediaQuery('(max-width: 700px)')
const typed = ref('')
const sought = refDebounced(typed, 250)
const person = ref<string | undefined>('')
const deed = ref<string | undefined>('')
const from = ref<string | null>('')
const to = ref<string | null>('')
const earlier = shallowRef<readonly DeedLine[]>([])
const next = ref<string | null>(null)
const address = (after = '') => {
  const query = new URLSearchParams()
  for (const [key, value] of Object.entries({
    words: sought.value.trim(),
    person: person.value,
    deed: deed.value,
    from: from.value,
    to: to.value,
    after,
  }))
    if (value) query.set(key, value)
  return `/api/deeds?${query}`
}
const { data, failure, load } = useAnswer<Page<DeedLine>>(() => address())
watch(data, (page) => {
  earlier.value = []
  next.value = page?.next ?? null
})
const rows = computed(() => [...(data.value?.rows ?? []), ...earlier.value])
const { working, send } = useSending()
const more = () =>
  send(async () => {
    if (next.value === null) return
    const page = await askServer<Page<DeedLine>>(address(next.value))
    earlier.value = [...earlier.value, ...page.rows]
    next.value = page.next
  })
</script>

<template>
  <p class="muted">{{ w.entries }}</p>
  <div class="asked">
    <el-input v-model="typed" type="search" :aria-label="w.search" :placeholder="w.search" clearable />
    <el-select v-model="person" :aria-label="w.person" :placeholder="w.anybody" filterable clearable>
      <el-option v-for="p in session.people" :key="p.id" :value="p.id" :label="p.name" />
    </el-select>
    <el-select v-model="deed" :aria-label="w.deed" :placeholder="w.any" filterable clearable>
      <el-option v-for="d in DEEDS" :key="d" :value="d" :label="w.names[d]" />
    </el-select>
    <el-date-picker v-model="from" value-format="YYYY-MM-DD" :aria-label="w.from" :placeholder="w.from" />
    <el-date-picker v-model="to" value-format="YYYY-MM-DD" :aria-label="w.to" :placeholder="w.to" />
  </div>
  <LoadState :waiting="!data" :failure="failure" @again="load">
    <el-empty v-if="rows.length === 0" class="panel" :image-size="1" :description="w.none" />
    <el-table v-else :data="rows" class="panel">
      <el-table-column :label="w.when" :width="narrow ? 120 : 170">
        <template #default="{ row }"
          ><span class="when">{{ dayWords(row.at, telling) }} {{ timeWords(row.at) }}</span></template
        >
      </el-table-column>
      <el-table-column :label="w.who" min-width="200">
        <template #default="{ row }"
          >{{ row.name }}<span v-if="row.second" class="muted"> {{ w.with(row.second) }}</span
          ><template v-if="narrow"
            ><br />{{ w.names[(row as DeedLine).deed] }} {{ row.about }}</template
          ></template
        >
      </el-table-column>
      <el-table-column v-if="!narrow" :label="w.deed" min-width="190">
        <template #default="{ row }">{{ w.names[(row as DeedLine).deed] }}</template>
      </el-table-column>
      <el-table-column v-if="!narrow" :label="w.about" min-width="180" prop="about" />
    </el-table>
    <el-button v-if="next" class="quiet-button more" :loading="working" @click="more">{{ w.more }}</el-button>
  </LoadState>
</template>

<style scoped>
.asked {
  display: grid;
  grid-template-columns: 2fr 1.4fr 1.4fr 1fr 1fr;
  gap: 10px;
  margin: 12px 0;
}
.asked :deep(.el-date-editor) {
  width: 100%;
  height: var(--touch);
}
@media (max-width: 900px) {
  .asked {
    grid-template-columns: 1fr 1fr;
  }
}
@media (min-width: 700px) {
  .when {
    white-space: nowrap;
  }
}
.more {
  margin-top: 12px;
}
</style>
