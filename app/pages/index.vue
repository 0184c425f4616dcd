<script setup lang="ts">
import { comeBackWords, hotWords, pagesWords, sheetWords, shellWords } from '~~/shared/wording/en'
import dayjs from 'dayjs'
import { dayOf } from '~~/core/comeBack/days'
import type { JobSummary, TodayAnswer } from '~~/shared/api/answers'
import { layOutDays } from '~~/shared/comeBack/layOutDays'
import DayGrid from '~/components/comeBack/DayGrid.vue'
import DayKey from '~/components/comeBack/DayKey.vue'
import DueTable from '~/components/comeBack/DueTable.vue'
import RunningLow from '~/components/stores/RunningLow.vue'

/** What needs a wrench today: one's own open job, what is overdue and due, what was left provisional or out. */
const words = useWords()
const session = useSession()
const shell = shellWords(words)
const w = pagesWords(words).today
const c = comeBackWords(words)
useHead({ title: shell.pageTitle(shell.today) })
const { data, failure, load } = useAnswer<TodayAnswer>(() => '/api/today')
const { jobs, next, more, asking, failed } = useMoreJobs(
  () => data.value?.open ?? null,
  () => '/api/jobs?open=yes',
)
const now = useNow({ interval: 60_000 })
const today = computed(() => dayOf(now.value))
const date = computed(() => dayjs(now.value).format('dddd D MMMM'))
const WEEK = 7
/** The job this person wrote in last. */
const mine = computed(
  () =>
    [...jobs.value]
      .filter((j) => j.lastAuthorId === session.authorId)
      .sort((a, b) => b.updatedAt.localeCompare(a.updatedAt))[0] ?? null,
)
/** Everybody's work, or what this person wrote in last. */
const whose = useLocalStorage<'crew' | 'mine'>('hc.today', 'crew')
const ours = (job: JobSummary) => whose.value === 'crew' || job.lastAuthorId === session.authorId
const others = computed(() => jobs.value.filter((j) => j.id !== mine.value?.id && ours(j)))
const due = computed(() => (data.value?.due ?? []).filter((v) => ours(v.job)))
const overdue = computed(() => due.value.filter((v) => v.due < today.value))
const days = computed(() =>
  layOutDays(today.value, WEEK, due.value, data.value?.standstills ?? [], now.value),
)
/** What the week does not show. */
const further = computed(() => {
  const shown = new Set(days.value.flatMap((d) => d.visits.map((v) => v.visit.job.id)))
  return due.value.filter((v) => v.due >= today.value && !shown.has(v.job.id))
})
</script>

<template>
  <div class="page">
    <div class="top">
      <h1>
        {{ shell.today }} <span class="date">{{ date }}</span>
      </h1>
      <ChoiceRow
        v-model="whose"
        :label="w.whose"
        :options="[
          { value: 'crew', name: w.crew },
          { value: 'mine', name: w.onlyMine },
        ]"
      />
    </div>
    <LoadState :waiting="!data" :failure="failure" @again="load">
      <template v-if="data">
        <section v-if="mine" class="panel mine" :aria-label="w.mine">
          <VerdictMark :mark="mine.verdict" silent />
          <div class="told">
            <p>
              <strong>{{ mine.tag }} {{ mine.machineName }}</strong>
              <span class="muted">{{ w.yours(sheetWords(words).stages[mine.stage].name) }}</span>
            </p>
            <p class="step">{{ sheetWords(words).stages[mine.stage].next }}</p>
          </div>
          <el-button class="next-button" @click="navigateTo(`/jobs/${mine.id}`)">{{ c.goOn }}</el-button>
        </section>
        <LazyBeltsLeaving v-if="data.leaving.length > 0" :machines="data.leaving" />
        <SheavesReset v-if="data.reset.length > 0" :machines="data.reset" />
        <template v-if="overdue.length > 0">
          <h2>{{ c.overdue }}</h2>
          <DueTable :visits="overdue" :now="now" :empty="c.none" />
        </template>
        <div class="week">
          <h2>{{ c.dueThisWeek }}</h2>
          <DayKey />
        </div>
        <DayGrid :days="days" :now="now" />
        <template v-if="further.length > 0">
          <h2>{{ c.further }}</h2>
          <DueTable :visits="further" :now="now" :empty="c.none" />
        </template>
        <div class="below">
          <div>
            <h2>{{ w.open }}</h2>
            <JobList
              :jobs="others"
              show-machine
              :empty="whose === 'mine' ? w.noneOfMine : mine ? w.noneOther : w.noneOpen"
            />
            <MoreJobs :label="w.moreOpen" :next="next" :asking="asking" :failed="failed" @more="more" />
            <template v-if="data.provisional.some(ours)">
              <h2>{{ hotWords(words).today.title }}</h2>
              <JobList
                :jobs="data.provisional.filter(ours)"
                show-machine
                expecting
                :empty="hotWords(words).today.none"
              />
            </template>
            <h2>{{ w.outOfBand }}</h2>
            <JobList
              :jobs="data.outOfBand.filter(ours)"
              show-machine
              :empty="whose === 'crew' ? w.noneOut : w.noneOfMine"
            />
            <h2>{{ w.closedLately }}</h2>
            <JobList
              :jobs="data.recentlyClosed.filter(ours)"
              show-machine
              :empty="whose === 'crew' ? w.noneClosed : w.noneOfMine"
            />
          </div>
          <RunningLow class="aside" />
        </div>
      </template>
    </LoadState>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
}
.date {
  margin-left: 6px;
  color: var(--muted);
  font-weight: 400;
}
.mine {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 16px;
  margin-top: 14px;
  padding: 14px 18px;
  border-left: 4px solid var(--brass);
}
.told {
  flex: 1 1 260px;
}
.told .muted {
  margin-left: 6px;
}
.step {
  font-size: 20px;
  font-weight: 700;
  line-height: 1.3;
}
.mine .next-button {
  width: auto;
  min-width: 180px;
}
.below {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 290px;
  gap: 18px;
  align-items: start;
}
.aside {
  margin-top: 66px;
}
@media (max-width: 1000px) {
  .below {
    grid-template-columns: minmax(0, 1fr);
  }
  .aside {
    margin-top: 0;
  }
}
.week {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  justify-content: space-between;
}
.week > :last-child {
  margin-bottom: 10px;
}
</style>
