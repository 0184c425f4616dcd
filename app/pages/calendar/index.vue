<script setup lang="ts">
import { closingWords, comeBackWords, shellWords } from '~~/shared/wording/en'
import dayjs from 'dayjs'
import { addDays, dayOf } from '~~/core/comeBack/days'
import type { CalendarAnswer, MachineSummary } from '~~/shared/api/answers'
import { layOutDays } from '~~/shared/comeBack/layOutDays'
import CalendarFeeds from '~/components/comeBack/CalendarFeeds.vue'
import DayGrid from '~/components/comeBack/DayGrid.vue'
import DayKey from '~/components/comeBack/DayKey.vue'
import DueTable from '~/components/comeBack/DueTable.vue'
import PlannedStops from '~/components/comeBack/PlannedStops.vue'
import WorksRules from '~/components/comeBack/WorksRules.vue'

/** What is due and on which stop it lands, when halls stand, by which rules, and who subscribes. */
const words = useWords()
const w = comeBackWords(words)
useHead({ title: shellWords(words).pageTitle(w.title) })
const { data, failure, load } = useAnswer<CalendarAnswer>(() => '/api/calendar')
const { data: register } = useAnswer<readonly MachineSummary[]>(() => '/api/machines')
const now = useNow({ interval: 60_000 })
const WEEKS = 5
/** Days in rows from a Monday on. */
const monday = (day: string) => addDays(day, -((dayjs(day).day() + 6) % 7))
const from = ref(monday(dayOf(new Date())))
const thisWeek = computed(() => monday(dayOf(now.value)))
const days = computed(() =>
  layOutDays(from.value, 7 * WEEKS, data.value?.visits ?? [], data.value?.standstills ?? [], now.value),
)
const span = computed(() => {
  const last = addDays(from.value, 7 * WEEKS - 1)
  return `${dayjs(from.value).format('D MMM')} – ${dayjs(last).format('D MMM YYYY')}`
})
const halls = computed(() =>
  [
    ...new Set([
      ...(register.value ?? []).filter((m) => !m.retired).map((m) => m.area),
      ...(data.value?.standstills ?? []).map((s) => s.area),
    ]),
  ].sort(),
)
const page = (weeks: number) => {
  from.value = addDays(from.value, 7 * weeks)
}
</script>

<template>
  <div class="page">
    <div class="head">
      <h1>{{ w.title }}</h1>
      <DayKey />
    </div>
    <LoadState :waiting="!data" :failure="failure" @again="load">
      <div v-if="data" class="columns">
        <div class="main">
          <div class="turn">
            <strong>{{ span }}</strong>
            <el-button class="quiet-button" @click="page(-WEEKS)">{{ w.month.earlier }}</el-button>
            <el-button class="quiet-button" :disabled="from === thisWeek" @click="from = thisWeek">{{
              w.month.today
            }}</el-button>
            <el-button class="quiet-button" @click="page(WEEKS)">{{ w.month.later }}</el-button>
          </div>
          <DayGrid :days="days" :now="now" />
          <h2>{{ closingWords(words).due.title }}</h2>
          <DueTable :visits="data.visits" :now="now" :empty="w.none" />
        </div>
        <div class="aside">
          <PlannedStops :standstills="data.standstills" :halls="halls" :now="now" @changed="load" />
          <WorksRules />
          <CalendarFeeds />
        </div>
      </div>
    </LoadState>
  </div>
</template>

<style scoped>
.head,
.turn {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}
.head {
  justify-content: space-between;
  margin-bottom: 10px;
}
.turn {
  margin-bottom: 10px;
}
.turn strong {
  flex: 1;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 310px;
  gap: 18px;
  align-items: start;
}
.aside {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
