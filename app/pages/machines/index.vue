<script setup lang="ts">
import dayjs from 'dayjs'
import type { MachineSummary } from '~~/shared/api/answers'
import { en } from '~~/shared/wording/en'

useHead({ title: 'Machines · Hushed Caliper' })
const { data, failure, load } = useAnswer<readonly MachineSummary[]>(() => '/api/machines')
const { searchAsked } = useKeyEvents()
const wanted = ref('')
const adding = ref(false)
const search = useTemplateRef<{ focus: () => void }>('search')
watch(searchAsked, () => nextTick(() => search.value?.focus()))
onMounted(() => searchAsked.value > 0 && search.value?.focus())

const joined = (m: MachineSummary) =>
  m.drive === 'coupled' ? m.couplingKind : en.belts.drive(m.belts.count, en.belts.kinds[m.belts.kind])
const shown = computed(() => {
  const words = wanted.value.toLowerCase().split(/\s+/).filter(Boolean)
  return (data.value ?? [])
    .filter((m) => {
      const text = [m.tag, m.name, m.area, m.movableName, m.stationaryName, joined(m)].join(' ').toLowerCase()
      return words.every((w) => text.includes(w))
    })
    .map((m) => ({ ...m, joined: joined(m) }))
})
</script>

<template>
  <div class="page">
    <div class="head">
      <h1>Machines</h1>
      <el-input
        ref="search"
        v-model="wanted"
        class="search"
        type="search"
        aria-label="Search the machines"
        placeholder="Tag, name or place"
        clearable
      />
      <el-button class="quiet-button" @click="adding = true">Register a machine</el-button>
    </div>
    <LoadState :waiting="!data" :failure="failure" @again="load">
      <el-empty
        v-if="shown.length === 0"
        class="panel"
        :image-size="1"
        :description="data?.length ? 'No machine fits these words.' : 'No machine is registered yet.'"
      />
      <el-table v-else :data="shown" class="panel list" @row-click="navigateTo(`/machines/${$event.tag}`)">
        <el-table-column label="Tag" width="110">
          <template #default="{ row }">
            <NuxtLink :to="`/machines/${row.tag}`" class="tag figure">{{ row.tag }}</NuxtLink>
          </template>
        </el-table-column>
        <el-table-column label="Machine" min-width="190">
          <template #default="{ row }"
            ><strong>{{ row.name }}</strong
            ><br /><span class="muted">{{ row.area }}</span></template
          >
        </el-table-column>
        <el-table-column label="Drive" min-width="220">
          <template #default="{ row }"
            >{{ row.movableName }} to {{ row.stationaryName.toLowerCase() }}<br /><span class="muted"
              >{{ row.joined }}, {{ row.powerKw }} kW, {{ row.rpm }} rpm</span
            ></template
          >
        </el-table-column>
        <el-table-column label="Last left" width="170">
          <template #default="{ row }">
            <span v-if="row.lastClosed" class="state">
              <VerdictMark :mark="row.lastClosed.verdict" silent />
              <span
                >{{ en.verdicts[row.lastClosed.verdict as keyof typeof en.verdicts] }}<br /><span
                  class="muted"
                  >{{ dayjs(row.lastClosed.closedAt).format('D MMM YYYY') }}</span
                ></span
              >
            </span>
            <span v-else class="muted">Never closed a job</span>
          </template>
        </el-table-column>
        <el-table-column width="110" align="right">
          <template #default="{ row }"
            ><strong>{{ row.openJob ? 'Job open' : '' }}</strong></template
          >
        </el-table-column>
      </el-table>
    </LoadState>
    <MachineForm v-model="adding" :machine="null" @saved="navigateTo(`/machines/${$event}`)" />
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
