<script setup lang="ts">
import dayjs from 'dayjs'
import type { JobSummary } from '~~/shared/api/answers'
import { misalignmentWords } from '~~/shared/wording/directions'
import { VERDICT_NAMES } from '~~/shared/wording/names'
import { NEXT_STEPS } from '~~/shared/wording/progress'

defineProps<{ jobs: readonly JobSummary[]; empty: string; showMachine?: boolean }>()
const session = useSession()
const day = (iso: string) => dayjs(iso).format('D MMM YYYY')
</script>

<template>
  <p v-if="jobs.length === 0" class="empty muted panel">{{ empty }}</p>
  <ul v-else class="jobs panel">
    <li v-for="j in jobs" :key="j.id">
      <NuxtLink :to="`/jobs/${j.id}`">
        <VerdictMark :mark="j.verdict" silent />
        <span class="what">
          <strong v-if="showMachine">{{ j.tag }} {{ j.machineName }}</strong>
          <strong v-else>{{ day(j.openedAt) }}</strong>
          <span class="muted">
            {{ VERDICT_NAMES[j.verdict]
            }}<template v-if="j.asLeft">: {{ misalignmentWords(j.asLeft.coupling, session.units) }}</template>
          </span>
        </span>
        <span class="step">
          <template v-if="j.closedAt">Closed {{ day(j.closedAt) }}</template>
          <strong v-else>{{ NEXT_STEPS[j.stage] }}</strong>
          <span class="muted">{{ j.lastAuthor }}</span>
        </span>
      </NuxtLink>
    </li>
  </ul>
</template>

<style scoped>
.jobs {
  list-style: none;
  margin: 0;
  padding: 0;
}
li + li {
  border-top: 1px solid var(--hairline);
}
a {
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 64px;
  padding: 10px 18px;
  text-decoration: none;
}
a:hover {
  background: var(--sunk);
}
.what,
.step {
  display: grid;
}
.what {
  flex: 1;
}
.step {
  text-align: right;
}
.empty {
  padding: 18px;
}
</style>
