<script setup lang="ts">
import { comeBackWords } from '~~/shared/wording/en'
import dayjs from 'dayjs'
import type { LaidDay } from '~~/shared/comeBack/layOutDays'
import { hoursWords, visitWords, waitWords } from '~~/shared/wording/comeBack'
import { tellingOf } from '~~/shared/wording/telling'

/** Days in rows of a week: what is due on each, on a stop or asking for one, and which halls stand. */
const props = defineProps<{ days: readonly LaidDay[]; now: Date }>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, null, session.works?.footWords))
const w = computed(() => comeBackWords(telling.value.words))
const today = computed(() => dayjs(props.now).format('YYYY-MM-DD'))
const shown = computed(() =>
  props.days.map((d) => ({
    ...d,
    name: dayjs(d.day).format('ddd'),
    date: dayjs(d.day).format(dayjs(d.day).date() === 1 ? 'D MMM' : 'D'),
    whole: dayjs(d.day).format('dddd D MMMM'),
    tags: d.visits.map(({ visit, stands }) => ({
      visit,
      stands,
      what: visitWords(visit, telling.value).toLowerCase(),
      told: `${visit.job.tag}, ${visitWords(visit, telling.value)}, ${
        stands === 'lands' ? w.value.key.stands : w.value.asks
      }${visit.due < today.value ? `, ${waitWords(visit.due, props.now, telling.value)}` : ''}`,
    })),
    halls: d.stops.map((s) => ({ id: s.id, area: s.area, hours: hoursWords(s, telling.value) })),
  })),
)
</script>

<template>
  <ol class="days">
    <li
      v-for="d in shown"
      :key="d.day"
      :class="{ today: d.day === today, past: d.day < today }"
      :aria-label="d.whole"
    >
      <p class="head">
        <span>{{ d.name }}</span> <strong>{{ d.date }}</strong>
      </p>
      <div class="tags">
        <NuxtLink
          v-for="t in d.tags"
          :key="t.visit.job.id"
          :to="t.visit.openJob ? `/jobs/${t.visit.openJob}` : `/machines/${t.visit.job.tag}`"
          class="visit"
          :aria-label="t.told"
          :title="t.told"
        >
          <span class="tag figure" :class="t.stands">{{ t.visit.job.tag }}</span>
          <span class="what">{{ t.what }}</span>
        </NuxtLink>
      </div>
      <p v-for="h in d.halls" :key="h.id" class="hall" :title="`${h.area} ${h.hours}`">
        <span>{{ h.area }}</span> <span class="hours">{{ h.hours }}</span>
      </p>
    </li>
  </ol>
</template>

<style scoped>
.days {
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  margin: 0;
  padding: 0;
  list-style: none;
  border: 1px solid var(--hairline);
  border-radius: 4px;
  background: var(--panel);
  overflow: hidden;
}
li {
  display: flex;
  flex-direction: column;
  min-height: 108px;
  min-width: 0;
  border-right: 1px solid var(--hairline);
  border-bottom: 1px solid var(--hairline);
  margin: 0 -1px -1px 0;
}
.today {
  background: var(--sunk);
  box-shadow: inset 0 3px 0 var(--ink);
}
.past {
  color: var(--muted);
}
.head {
  display: flex;
  justify-content: space-between;
  padding: 6px 8px 2px;
  font-size: 14px;
}
.tags {
  flex: 1;
  padding: 0 4px;
}
.visit {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 6px;
  min-height: 30px;
  padding: 2px 4px;
  text-decoration: none;
  font-size: 13px;
  line-height: 1.2;
}
.visit:hover .what {
  text-decoration: underline;
}
.tag {
  padding: 1px 5px;
  border: 1.5px solid var(--ink);
  border-radius: 4px;
  font-weight: 600;
  white-space: nowrap;
}
.tag.asks,
.tag.late {
  border-style: dashed;
}
.hall {
  display: flex;
  flex-wrap: wrap;
  gap: 0 6px;
  padding: 2px 8px;
  font-size: 13px;
  line-height: 1.25;
  background: repeating-linear-gradient(
    -45deg,
    color-mix(in srgb, var(--hairline) 45%, transparent) 0 6px,
    transparent 6px 12px
  );
}
.hours {
  white-space: nowrap;
}
@media (max-width: 760px) {
  .days {
    grid-template-columns: minmax(0, 1fr);
  }
  li {
    min-height: 0;
  }
}
</style>
