<script setup lang="ts">
import { dayOf } from '~~/core/comeBack/days'
import { beltCourse, leavingOf, repeatOfMean, type CourseJob } from '~~/core/history/beltCourse'
import { jobHistory } from '~~/core/history/jobHistory'
import type { BeltState } from '~~/core/jobs/belt'
import { figuresOf } from '~~/core/jobs/summary'
import { readingsOf } from '~~/core/register/readingsOf'
import type { HistoryAnswer } from '~~/shared/api/answers'
import { courseWords } from '~~/shared/wording/beltCourse'
import { beltCourseWords } from '~~/shared/wording/en'

/** When the belts leave their band if they are left as this job read them, beside the day that is chosen to come back. */
const props = defineProps<{ state: BeltState; due: string | null }>()
const job = useJob()
const telling = useTelling()
const w = computed(() => beltCourseWords(telling.value.words).close)
const { data } = useAnswer<HistoryAnswer>(
  () => `/api/machines/${encodeURIComponent(job.machine?.tag ?? '')}/history`,
)
const course = computed(() => {
  const { folded, logbook } = job
  if (!data.value || !folded || !props.state.tensionLeft) return null
  const opened = logbook[0]?.madeAt ?? new Date().toISOString()
  const closedAt = props.state.closing?.madeAt ?? new Date().toISOString()
  const now: CourseJob = {
    openedAt: opened,
    closedAt,
    figures: figuresOf(folded),
    belts: jobHistory(logbook).belts,
  }
  const before = data.value.jobs.filter((j) => j.id !== job.id && j.openedAt < opened)
  return beltCourse([now, ...before], repeatOfMean(readingsOf(props.state.machine)))
})
const says = computed(() => (course.value ? courseWords(course.value, telling.value) : []))
const late = computed(() => {
  const leaving = leavingOf(course.value)
  return leaving !== null && props.due !== null && props.due > dayOf(new Date(leaving.likely))
})
</script>

<template>
  <section v-if="says.length > 0" :aria-label="w.title">
    <h3>{{ w.title }}</h3>
    <p class="muted">{{ says.join(' ') }}</p>
    <p v-if="late" class="caution" role="status">{{ w.late }}</p>
  </section>
</template>

<style scoped>
h3 {
  margin: 0 0 2px;
  font-size: 15px;
}
p {
  font-size: 14px;
}
</style>
