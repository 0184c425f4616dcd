<script setup lang="ts">
import dayjs from 'dayjs'
import type { JobSummary } from '~~/shared/api/answers'
import { misalignmentWords } from '~~/shared/wording/directions'
import { goWords } from '~~/shared/wording/hotCheck'
import { degrees, gapFigure } from '~~/shared/wording/lines'
import { tellingOf } from '~~/shared/wording/telling'

const props = defineProps<{
  jobs: readonly JobSummary[]
  empty: string
  showMachine?: boolean
  /** Says how each is expected to go as it warms. */
  expecting?: boolean
}>()
const session = useSession()
/** A phone has room for one column. */
const narrow = useMediaQuery('(max-width: 760px)')
const telling = computed(() => tellingOf(session.units, null, session.works?.footWords))
const day = (iso: string) => dayjs(iso).format('D MMM YYYY')
const found = ({ summary }: JobSummary): string => {
  if (!summary.asLeft) return ''
  return summary.kind === 'coupled'
    ? misalignmentWords(summary.asLeft.coupling, false, telling.value)
    : telling.value.words.belts
        .found(
          gapFigure(Math.abs(summary.asLeft.offset), telling.value, true),
          degrees(Math.abs(summary.asLeft.turn)),
        )
        .toLowerCase()
}
/** Which way a provisional one is expected to go. */
const expected = ({ provisional, summary }: JobSummary): string =>
  props.expecting && provisional && summary.kind === 'coupled' && summary.expected
    ? telling.value.words.hot.expected(
        goWords(summary.expected, telling.value.footNames('outboard'), telling.value),
      )
    : ''
const rows = computed(() =>
  props.jobs.map((j) => ({
    ...j,
    found: found(j),
    expected: expected(j),
    author: j.lastAuthor,
    verdictName: telling.value.words.verdicts[j.verdict],
    step: j.closedAt
      ? telling.value.words.pages.jobs.closed(day(j.closedAt))
      : telling.value.words.sheet.stages[j.stage].next,
  })),
)
const open = (job: { id: string }) => navigateTo(`/jobs/${job.id}`)
</script>

<template>
  <el-empty v-if="jobs.length === 0" class="panel" :image-size="1" :description="empty" />
  <el-table v-else :data="rows" class="panel jobs" :show-header="false" @row-click="open">
    <el-table-column :min-width="narrow ? 200 : 360">
      <template #default="{ row }">
        <NuxtLink :to="`/jobs/${row.id}`" class="what">
          <VerdictMark :mark="row.verdict" silent />
          <span>
            <strong>{{ showMachine ? `${row.tag} ${row.machineName}` : day(row.openedAt) }}</strong>
            <span class="muted"> {{ telling.words.pages.jobs.found(row.verdictName, row.found) }}</span>
            <span v-if="row.expected" class="muted">{{ row.expected }}</span>
            <span v-if="narrow">{{ row.step }}</span>
          </span>
        </NuxtLink>
      </template>
    </el-table-column>
    <el-table-column v-if="!narrow" align="right" min-width="200">
      <template #default="{ row }">
        <strong :class="{ plain: row.closedAt }">{{ row.step }}</strong><br /><span class="muted">{{
          row.author
        }}</span>
      </template>
    </el-table-column>
  </el-table>
</template>

<style scoped>
.jobs {
  cursor: pointer;
}
.what {
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 48px;
  text-decoration: none;
}
.what > span {
  display: grid;
  line-height: 1.35;
}
.plain {
  font-weight: 400;
}
.jobs :deep(.cell) {
  line-height: 1.35;
  padding: 0 14px;
}
</style>
