<script setup lang="ts">
import type { ResetAnswer } from '~~/shared/api/answers'
import { sheaveSettingWords } from '~~/shared/wording/en'
import { resetWords } from '~~/shared/wording/sheaveSetting'

/** Machines whose sheave was set otherwise since they were lined up, each with the job that puts it right. */
const props = defineProps<{ machines: readonly ResetAnswer[] }>()
const words = useWords()
const w = sheaveSettingWords(words).today
const rows = computed(() =>
  props.machines.map(({ tag, machineName, reset, closedAt, openJob }) => {
    const { what, stale } = resetWords(reset, closedAt, { words })
    return {
      tag,
      machineName,
      mark: 'stale' as const,
      what,
      beside: stale,
      act: openJob ? w.goOn : w.start,
      to: openJob ? `/jobs/${openJob}` : `/machines/${encodeURIComponent(tag)}?start=sheave-set`,
    }
  }),
)
</script>

<template>
  <TodayNotes :title="w.title" :rows="rows" />
</template>
