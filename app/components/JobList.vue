<script setup lang="ts">
import { degrees, gapFigure } from '~~/shared/wording/figures'
import { pagesWords, provisionalWords, sheetWords, verdictsWords, findingsWords } from '~~/shared/wording/en'
import dayjs from 'dayjs'
import type { JobSummary } from '~~/shared/api/answers'
import { goingOf } from '~~/shared/drawing/going'
import { misalignmentWords, goWords } from '~~/shared/wording/directions'
import { contactSummaryWords } from '~~/shared/wording/contactSummary'
import { tellingOf } from '~~/shared/wording/telling'

const props = defineProps<{
  jobs: readonly JobSummary[]
  empty: string
  showMachine?: boolean
  /** The day each was opened stands beside its machine. */
  dated?: boolean
  /** Says how each is expected to go as it warms. */
  expecting?: boolean
}>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, null, session.works?.footWords))
const day = (iso: string) => dayjs(iso).format('D MMM YYYY')
/** A motor on a flange is looked at from above. */
const tellingFor = (kind: 'coupled' | 'flange' | 'drum') =>
  kind === 'flange' ? tellingOf(session.units, { drive: kind }) : telling.value
const found = ({ summary }: JobSummary): string => {
  if (summary.kind === 'train')
    return summary.couplings
      .flatMap(({ name, asLeft }) =>
        asLeft ? [`${name.toLowerCase()} ${misalignmentWords(asLeft.coupling, false, telling.value)}`] : [],
      )
      .join('; ')
  if (!summary.asLeft) return ''
  if (summary.kind === 'gear') return contactSummaryWords(summary.asLeft, telling.value)
  return summary.kind !== 'belt'
    ? misalignmentWords(summary.asLeft.coupling, false, tellingFor(summary.kind))
    : findingsWords(telling.value.words)
        .line.found(
          gapFigure(Math.abs(summary.asLeft.offset), telling.value, true),
          degrees(Math.abs(summary.asLeft.turn)),
        )
        .toLowerCase()
}
/** Which way a provisional one is expected to go. */
const expected = ({ provisional, summary }: JobSummary): string =>
  props.expecting && provisional && summary.kind === 'coupled' && summary.expected
    ? provisionalWords(telling.value.words).expected(
        goWords(summary.expected, telling.value.footNames('outboard'), telling.value),
      )
    : ''
const going = ({ provisional, summary }: JobSummary) =>
  props.expecting && provisional && summary.kind === 'coupled' && summary.expected && summary.asLeft
    ? goingOf(summary.asLeft.coupling, summary.expected)
    : null
const rows = computed(() =>
  props.jobs.map((j) => ({
    ...j,
    found: found(j),
    expected: expected(j),
    going: going(j),
    author: j.lastAuthor,
    verdictName: verdictsWords(telling.value.words)[j.verdict],
    step: j.closedAt
      ? pagesWords(telling.value.words).jobs.closed(day(j.closedAt))
      : sheetWords(telling.value.words).stages[j.stage].next,
  })),
)
</script>

<template>
  <el-empty v-if="jobs.length === 0" class="panel" :image-size="1" :description="empty" />
  <ul v-else class="panel jobs">
    <li v-for="row in rows" :key="row.id">
      <NuxtLink :to="`/jobs/${row.id}`" class="what">
        <GoingTo v-if="row.going" :going="row.going" :says="row.expected" />
        <VerdictMark v-else :mark="row.verdict" silent />
        <span>
          <span
            ><strong>{{ showMachine ? `${row.tag} ${row.machineName}` : day(row.openedAt) }}</strong
            ><span v-if="dated" class="muted opened">{{ day(row.openedAt) }}</span></span
          >
          <span class="muted">{{ pagesWords(telling.words).jobs.found(row.verdictName, row.found) }}</span>
          <span v-if="row.expected" class="muted">{{ row.expected }}</span>
        </span>
        <span class="step">
          <strong :class="{ plain: row.closedAt }">{{ row.step }}</strong>
          <span class="muted">{{ row.author }}</span>
        </span>
      </NuxtLink>
    </li>
  </ul>
</template>

<style scoped>
.jobs {
  margin: 0;
  padding: 0;
  list-style: none;
}
li + li {
  border-top: 1px solid var(--hairline);
}
.what {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) minmax(0, auto);
  align-items: center;
  gap: 4px 14px;
  min-height: 60px;
  padding: 6px 14px;
  text-decoration: none;
}
.what:hover {
  background: var(--sunk);
}
.what > span {
  display: grid;
  line-height: 1.35;
}
.step {
  text-align: right;
}
.opened {
  white-space: nowrap;
  margin-left: 10px;
}
.plain {
  font-weight: 400;
}
@media (max-width: 760px) {
  .what {
    grid-template-columns: auto minmax(0, 1fr);
  }
  .step {
    grid-column: 2;
    text-align: left;
  }
}
</style>
