<script setup lang="ts">
import { historyWords } from '~~/shared/wording/viewWords'
import dayjs from 'dayjs'

/** What closed jobs did, a row a place: day and hands are said once a job. */
const props = defineProps<{
  title: string
  unit: string
  none: string
  /** Over the place, then over each figure. */
  head: readonly string[]
  jobs: readonly {
    readonly id: string
    readonly closedAt: string
    readonly rows: readonly {
      readonly key: string
      readonly place: string
      readonly figures: readonly string[]
      readonly by: readonly string[]
    }[]
  }[]
}>()
const w = historyWords.feet
const rows = computed(() =>
  props.jobs.flatMap((j) =>
    j.rows.map((r, i) => ({
      ...r,
      job: j.id,
      key: `${j.id} ${r.key}`,
      day: i === 0 ? dayjs(j.closedAt).format('D MMM YYYY') : '',
      who: i > 0 && r.by.join() === j.rows[0]?.by.join() ? '' : r.by.join(', '),
    })),
  ),
)
</script>

<template>
  <section class="panel done" :aria-label="title">
    <h2 class="title">
      {{ title }} <span class="muted">{{ unit }}</span>
    </h2>
    <p v-if="rows.length === 0" class="muted">{{ none }}</p>
    <div v-else class="scroll" tabindex="0">
      <table class="figures-table">
        <thead>
          <tr>
            <th scope="col">{{ historyWords.trend.day }}</th>
            <th v-for="(h, i) in head" :key="h" scope="col" :class="{ name: i === 0 }">{{ h }}</th>
            <th scope="col" class="name">{{ w.who }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.key" :class="{ first: r.day }">
            <td class="day">
              <NuxtLink v-if="r.day" :to="`/jobs/${r.job}`">{{ r.day }}</NuxtLink>
            </td>
            <td class="name">{{ r.place }}</td>
            <td v-for="(f, i) in r.figures" :key="i" class="figure">{{ f }}</td>
            <td class="name muted">{{ r.who }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.done {
  padding: 14px 16px;
  min-width: 0;
}
h2.title {
  margin: 0 0 6px;
  font-size: 17px;
}
h2 .muted {
  font-weight: 400;
  font-size: 14px;
}
.scroll {
  overflow-x: auto;
}
tr:not(.first) td {
  border-top: 0;
}
.day,
.figure {
  white-space: nowrap;
}
th.name,
td.name {
  text-align: left;
  padding-left: 14px;
}
</style>
