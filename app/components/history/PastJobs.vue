<script setup lang="ts">
import { pagesWords, reasonsWords, sheetWords, verdictsWords } from '~~/shared/wording/en'
import { historyWords } from '~~/shared/wording/viewWords'
import dayjs from 'dayjs'
import { worstVerdict } from '~~/core/judge/judge'
import type { JobSummary, PastJob } from '~~/shared/api/answers'

/** The jobs of a machine, newest first: why, found and left, who signed, in how many rounds. */
const props = defineProps<{ open: readonly JobSummary[]; jobs: readonly PastJob[] }>()
defineEmits<{ compare: [] }>()
const words = useWords()
const w = historyWords.jobs
const day = (at: string) => dayjs(at).format('D MMM YYYY')
/** What was moved, or done to the belts. */
const done = ({ rounds, belts }: PastJob): readonly string[] => {
  const told = [
    ...(rounds > 0 ? [w.rounds(rounds)] : []),
    ...(belts.fitted ? [w.newBelts] : belts.pulled ? [w.tensioned] : []),
  ]
  return told.length > 0 ? told : [w.noMove]
}
const rows = computed(() =>
  props.jobs.map((j) => ({
    id: j.id,
    day: day(j.closedAt),
    // A figure that nothing limits says nothing of the verdict.
    found: worstVerdict(
      j.figures
        .filter((f) => f.moment === 'as-found' && (f.low !== null || f.high !== null))
        .map((f) => f.verdict),
    ),
    left: j.verdict,
    why: [j.reason ? reasonsWords(words)[j.reason] : '', j.note].filter((s) => s !== '').join(': '),
    who: [j.signedBy, ...done(j)].filter((s) => s !== '').join(' · '),
  })),
)
</script>

<template>
  <SidePanel :name="pagesWords(words).machine.jobs">
    <template #act>
      <el-button v-if="jobs.length > 1" link class="text-button" @click="$emit('compare')">{{
        w.compare
      }}</el-button>
    </template>
    <p v-if="open.length + rows.length === 0" class="muted">{{ pagesWords(words).machine.noJobs }}</p>
    <ol>
      <li v-for="j in open" :key="j.id">
        <NuxtLink :to="`/jobs/${j.id}`">
          <span class="line">
            <strong>{{ day(j.openedAt) }}</strong>
            <span class="open">{{ w.open }}</span>
          </span>
          <span class="muted">{{ sheetWords(words).stages[j.stage].next }} · {{ j.lastAuthor }}</span>
        </NuxtLink>
      </li>
      <li v-for="j in rows" :key="j.id">
        <NuxtLink :to="`/jobs/${j.id}`">
          <span class="line">
            <strong>{{ j.day }}</strong>
            <span class="verdicts">
              <VerdictMark :mark="j.found" silent />{{ verdictsWords(words)[j.found] }}
              <span aria-hidden="true">{{ w.to }}</span>
              <VerdictMark :mark="j.left" silent />{{ verdictsWords(words)[j.left] }}
            </span>
          </span>
          <span>{{ j.why }}</span>
          <span class="muted">{{ j.who }}</span>
        </NuxtLink>
      </li>
    </ol>
  </SidePanel>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
  max-height: 366px;
  overflow-y: auto;
}
li a {
  display: grid;
  gap: 1px;
  padding: 7px 0 8px;
  border-top: 1px solid var(--hairline);
  text-decoration: none;
  line-height: 1.35;
  font-size: 14px;
}
li a:hover strong {
  text-decoration: underline;
}
.line {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 10px;
  font-size: 15px;
}
.verdicts {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  font-size: 14px;
}
.open {
  font-size: 14px;
  padding: 0 8px;
  border: 1px solid var(--field-line);
  border-radius: 9px;
}
</style>
