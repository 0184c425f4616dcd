<script setup lang="ts">
import dayjs from 'dayjs'
import type { PracticeResult } from '~~/shared/practice/result'
import { verdictsWords } from '~~/shared/wording/en'
import { practiceWords } from '~~/shared/wording/en/practice'
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'

/** Everybody's results, for a lead, with a file of them. */
const props = defineProps<{ results: readonly PracticeResult[] }>()
const session = useSession()
const words = useWords()
const w = practiceWords(words)
const { lessonNames } = practiceBenchWords(words)
const rows = computed(() =>
  props.results.map((r) => ({
    id: r.id,
    person: session.personName(r.person),
    lesson: r.lesson ? lessonNames[r.lesson] : w.results.free(r.machine),
    verdict: r.verdict,
    moves: r.moves,
    fewest: r.fewest,
    asked: r.asked,
    minutes: Math.round(r.minutes),
    when: dayjs(r.finishedAt).format('D MMM YYYY'),
  })),
)
</script>

<template>
  <section class="results">
    <div class="heading">
      <h2>{{ w.results.title }}</h2>
      <a
        v-if="rows.length"
        class="text-button"
        :href="`/api/practice/results.csv?person=${session.authorId}`"
        download
        >{{ w.results.csv }}</a
      >
    </div>
    <p v-if="rows.length === 0" class="muted">{{ w.results.none }}</p>
    <el-table v-else :data="rows" size="large">
      <el-table-column prop="person" :label="w.results.columns.person" min-width="150" />
      <el-table-column prop="lesson" :label="w.results.columns.lesson" min-width="190" />
      <el-table-column :label="w.results.columns.ended" min-width="110">
        <template #default="{ row }"
          ><VerdictMark :mark="row.verdict" silent />
          {{ verdictsWords(words)[row.verdict as 'in'] }}</template
        >
      </el-table-column>
      <el-table-column prop="moves" :label="w.results.columns.moves" align="right" width="90" />
      <el-table-column prop="fewest" :label="w.results.columns.fewest" align="right" width="90" />
      <el-table-column prop="asked" :label="w.results.columns.help" align="right" width="90" />
      <el-table-column prop="minutes" :label="w.results.columns.minutes" align="right" width="100" />
      <el-table-column prop="when" :label="w.results.columns.when" align="right" width="130" />
    </el-table>
  </section>
</template>

<style scoped>
.results {
  margin-top: 28px;
}
.heading {
  display: flex;
  align-items: baseline;
  gap: 16px;
}
</style>
