<script setup lang="ts">
import dayjs from 'dayjs'
import type { TodayAnswer } from '~~/shared/api/answers'
import { leavingWords } from '~~/shared/wording/beltsLeaving'
import { beltCourseWords } from '~~/shared/wording/en'

/** Drives whose belts leave their band before long, by what was read since they were tensioned. */
const props = defineProps<{ machines: TodayAnswer['leaving'] }>()
const words = useWords()
const w = beltCourseWords(words).today
const rows = computed(() =>
  props.machines.map((m) => ({
    tag: m.tag,
    machineName: m.machineName,
    mark: 'edge' as const,
    ...leavingWords(m, { words }, dayjs().format('YYYY-MM-DD')),
    act: m.openJob ? w.goOn : w.look,
    to: m.openJob ? `/jobs/${m.openJob}` : `/machines/${encodeURIComponent(m.tag)}`,
  })),
)
</script>

<template>
  <TodayNotes :title="w.title" :rows="rows" />
</template>
