<script setup lang="ts">
import type { OwnJob, OwnJobs } from '~~/shared/people/answers'
import { peopleWords, shellWords, verdictsWords } from '~~/shared/wording/en'
import { dayWords } from '~~/shared/wording/days'

/** What a customer sees: the jobs on their machines, and a report of each. */
const session = useSession()
const words = useWords()
const w = peopleWords(words)
const shell = shellWords(words)
useHead({ title: shell.pageTitle(w.own.title) })
const { data, failure, load } = useAnswer<OwnJobs>(() => '/api/customer/jobs')
const telling = useTelling()
const day = (moment: string) => dayWords(moment, telling.value)
const verdict = (job: OwnJob) => verdictsWords(words)[job.verdict]
const out = () => session.post('/out', {})
</script>

<template>
  <div class="page">
    <header>
      <img src="/mark.svg" alt="" width="30" height="30" />
      <h1>{{ data?.customer ?? w.own.title }}</h1>
      <span class="gap" />
      <ChoiceRow
        :label="shell.units"
        :model-value="session.units"
        :options="[
          { value: 'inch', name: shell.unitNames.inch },
          { value: 'metric', name: shell.unitNames.metric },
        ]"
        @update:model-value="session.switchUnits($event)"
      />
      <el-button class="quiet-button" @click="out">{{ w.menu.out }}</el-button>
    </header>
    <main>
      <LoadState :waiting="!data" :failure="failure" @again="load">
        <el-empty v-if="data?.rows.length === 0" class="panel" :image-size="1" :description="w.own.none" />
        <el-table v-else :data="[...(data?.rows ?? [])]" class="panel">
          <el-table-column :label="w.own.machine" min-width="190">
            <template #default="{ row }"
              ><strong class="figure">{{ row.tag }}</strong> {{ row.machine }}<br /><span class="muted">{{
                row.site
              }}</span></template
            >
          </el-table-column>
          <el-table-column :label="w.own.opened" width="130">
            <template #default="{ row }">{{ day(row.openedAt) }}</template>
          </el-table-column>
          <el-table-column :label="w.own.closed" width="130">
            <template #default="{ row }">{{ row.closedAt ? day(row.closedAt) : w.own.open }}</template>
          </el-table-column>
          <el-table-column :label="w.own.verdict" width="160">
            <template #default="{ row }">
              <span class="state"
                ><VerdictMark :mark="row.verdict" silent /> {{ verdict(row as OwnJob) }}</span
              >
            </template>
          </el-table-column>
          <el-table-column :label="w.own.next" width="130">
            <template #default="{ row }">{{ row.nextDue ? day(row.nextDue) : '' }}</template>
          </el-table-column>
          <el-table-column width="120">
            <template #default="{ row }">
              <a
                v-if="row.closedAt"
                :href="`/api/customer/jobs/${row.id}/report.pdf?units=${session.units}`"
                target="_blank"
                rel="noopener"
                class="report"
                >{{ w.own.report }}</a
              >
            </template>
          </el-table-column>
        </el-table>
      </LoadState>
    </main>
  </div>
</template>

<style scoped>
.page {
  max-width: 1100px;
  margin: 0 auto;
  padding: 16px 20px 40px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  margin-bottom: 18px;
}
h1 {
  font-size: 24px;
}
.gap {
  flex: 1;
}
.state {
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
.report {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
}
</style>
