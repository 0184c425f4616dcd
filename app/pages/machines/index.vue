<script setup lang="ts">
import { joinedWords } from '~~/shared/wording/joined'
import { pagesWords, shellWords, verdictsWords, drivesWords } from '~~/shared/wording/en'
import { recordWords } from '~~/shared/wording/viewWords'
import dayjs from 'dayjs'
import type { VerdictOrUnknown } from '~~/core/judge/judge'
import type { MachineSummary } from '~~/shared/api/answers'

const session = useSession()
const words = useWords()
const w = pagesWords(words).machines
useHead({ title: shellWords(words).pageTitle(shellWords(words).machines) })
const { data, failure, load } = useAnswer<readonly MachineSummary[]>(() => '/api/machines')
const { searchAsked } = useKeyEvents()
const wanted = ref('')
const adding = ref(false)
const importing = ref(false)
const later = useLater(adding, importing)
const retiredToo = ref(false)
const csv = useFileLink(later, 'text/csv', async () => {
  const all = data.value ?? []
  return (await import('~~/shared/register/csv')).machinesToCsv(all)
})
const search = useTemplateRef<{ focus: () => void }>('search')
watch(searchAsked, () => nextTick(() => search.value?.focus()))
onMounted(() => searchAsked.value > 0 && search.value?.focus())

const joined = (m: MachineSummary) => joinedWords(m, words)
const shown = computed(() => {
  const parts = wanted.value.toLowerCase().split(/\s+/).filter(Boolean)
  return (data.value ?? [])
    .filter((m) => retiredToo.value || !m.retired)
    .filter((m) => {
      const text = [m.tag, m.name, m.area, m.movableName, m.stationaryName, joined(m)].join(' ').toLowerCase()
      return parts.every((part) => text.includes(part))
    })
    .map((m) => ({ ...m, joined: joined(m) }))
})
</script>

<template>
  <div class="page">
    <div class="head">
      <h1>{{ shellWords(words).machines }}</h1>
      <el-input
        ref="search"
        v-model="wanted"
        class="search"
        type="search"
        :aria-label="w.search"
        :placeholder="w.searchHint"
        clearable
      />
      <el-checkbox v-if="data?.some((m) => m.retired)" v-model="retiredToo">{{ w.retiredToo }}</el-checkbox>
      <el-button tag="a" class="quiet-button" :href="csv" download="machines.csv">{{
        recordWords.csv.out
      }}</el-button>
      <el-button v-if="session.may('register')" class="quiet-button" @click="importing = true">{{
        recordWords.csv.in
      }}</el-button>
      <el-button v-if="session.may('register')" class="quiet-button" @click="adding = true">{{
        w.register
      }}</el-button>
    </div>
    <LoadState :waiting="!data" :failure="failure" @again="load">
      <el-empty
        v-if="shown.length === 0"
        class="panel"
        :image-size="1"
        :description="data?.length ? w.noneFits : w.none"
      />
      <el-table v-else :data="shown" class="panel list" @row-click="navigateTo(`/machines/${$event.tag}`)">
        <el-table-column :label="w.tag" width="110">
          <template #default="{ row }">
            <NuxtLink :to="`/machines/${row.tag}`" class="tag figure">{{ row.tag }}</NuxtLink>
          </template>
        </el-table-column>
        <el-table-column :label="w.machine" min-width="190">
          <template #default="{ row }"
            ><strong>{{ row.name }}</strong
            ><br /><span class="muted">{{ row.area }}</span></template
          >
        </el-table-column>
        <el-table-column :label="w.drive" min-width="220">
          <template #default="{ row }"
            >{{ drivesWords(words).between(row.movableName, row.stationaryName.toLowerCase()) }}<br /><span
              class="muted"
              >{{ row.joined }}, {{ drivesWords(words).nameplate(row.powerKw, row.rpm) }}</span
            ></template
          >
        </el-table-column>
        <el-table-column :label="w.lastLeft" width="170">
          <template #default="{ row }">
            <span v-if="row.lastClosed" class="state">
              <VerdictMark :mark="row.lastClosed.verdict" silent />
              <span
                >{{ verdictsWords(words)[row.lastClosed.verdict as VerdictOrUnknown] }}<br /><span
                  class="muted"
                  >{{ dayjs(row.lastClosed.closedAt).format('D MMM YYYY') }}</span
                ></span
              >
            </span>
            <span v-else class="muted">{{ w.neverClosed }}</span>
          </template>
        </el-table-column>
        <el-table-column width="110" align="right">
          <template #default="{ row }"
            ><strong>{{ row.retired ? w.retired : row.openJob ? w.jobOpen : '' }}</strong></template
          >
        </el-table-column>
      </el-table>
    </LoadState>
    <LazyMachinesFile v-if="later" v-model="importing" :register="data ?? []" @taken="load" />
    <LazyMachineForm
      v-if="later"
      v-model="adding"
      :machine="null"
      @saved="navigateTo(`/machines/${$event}`)"
    />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px 16px;
  margin-bottom: 18px;
}
.head h1 {
  flex: 1;
}
.search {
  width: 280px;
}
.list {
  cursor: pointer;
}
.list :deep(.cell) {
  line-height: 1.4;
}
.tag {
  font-size: 18px;
  font-weight: 600;
  text-decoration: none;
}
.state {
  display: flex;
  align-items: center;
  gap: 10px;
}
</style>
