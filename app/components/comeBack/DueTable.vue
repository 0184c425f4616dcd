<script setup lang="ts">
import { comeBackWords, verdictsWords } from '~~/shared/wording/en'
import dayjs from 'dayjs'
import type { DueVisit } from '~~/shared/api/answers'
import { landingWords, visitWords, waitWords } from '~~/shared/wording/comeBack'
import { tellingOf } from '~~/shared/wording/telling'

/** Machines to come back to: how late or soon, what for, on which stop, how each was left. */
const props = defineProps<{ visits: readonly DueVisit[]; now: Date; empty: string }>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, null, session.works?.footWords))
const w = computed(() => comeBackWords(telling.value.words))
const today = computed(() => dayjs(props.now).format('YYYY-MM-DD'))
const rows = computed(() =>
  props.visits.map((visit) => ({
    visit,
    id: visit.job.id,
    overdue: visit.due < today.value,
    wait: waitWords(visit.due, props.now, telling.value),
    day: dayjs(visit.due).format('D MMM YYYY'),
    what: visitWords(visit, telling.value),
    where: landingWords(visit, telling.value, props.now),
    left: w.value.left(
      verdictsWords(telling.value.words)[visit.job.verdict],
      dayjs(visit.job.closedAt).format('D MMM'),
    ),
  })),
)
const go = ({ job, openJob }: DueVisit) =>
  navigateTo(
    openJob ? `/jobs/${openJob}` : `/machines/${job.tag}?start=${job.summary.due?.what ?? 'regular'}`,
  )
</script>

<template>
  <el-empty v-if="rows.length === 0" class="panel" :image-size="1" :description="empty" />
  <ul v-else class="panel due">
    <li v-for="r in rows" :key="r.id">
      <p class="wait" :class="{ overdue: r.overdue }">
        <strong>{{ r.wait }}</strong><span class="muted">{{ r.day }}</span>
      </p>
      <p class="what">
        <NuxtLink :to="`/machines/${r.visit.job.tag}`"
          ><strong>{{ r.visit.job.tag }} {{ r.visit.job.machineName }}</strong></NuxtLink
        >
        <span>{{ r.what }}</span><span class="muted">{{ r.where }}</span>
      </p>
      <p class="left"><VerdictMark :mark="r.visit.job.verdict" silent /> {{ r.left }}</p>
      <el-button class="quiet-button" @click="go(r.visit)">{{
        r.visit.openJob ? w.goOn : w.start
      }}</el-button>
    </li>
  </ul>
</template>

<style scoped>
.due {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 104px minmax(0, 1fr) auto 96px;
  align-items: center;
  gap: 6px 14px;
  padding: 8px 14px;
}
li + li {
  border-top: 1px solid var(--hairline);
}
.wait {
  display: grid;
  line-height: 1.3;
  font-size: 14px;
}
.wait strong {
  font-size: 15px;
}
.overdue strong {
  font-size: 17px;
}
.what {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  line-height: 1.35;
}
.what a {
  text-decoration: none;
}
.what a:hover {
  text-decoration: underline;
}
.left {
  white-space: nowrap;
  font-size: 14px;
}
.left svg {
  vertical-align: -2px;
}
@media (max-width: 760px) {
  li {
    grid-template-columns: minmax(0, 1fr) 96px;
  }
  .wait {
    display: flex;
    gap: 10px;
  }
  .what,
  .left {
    grid-column: 1;
  }
  .wait {
    grid-column: 1 / -1;
  }
}
</style>
