<script setup lang="ts">
import type { TodayAnswer } from '~~/shared/api/answers'

const { shell, pages } = useWords()
const w = pages.today
useHead({ title: shell.pageTitle(shell.today) })
const { data, failure, load } = useAnswer<TodayAnswer>(() => '/api/today')
const { jobs, next, more, asking, failed } = useMoreJobs(
  () => data.value?.open ?? null,
  () => '/api/jobs?open=yes',
)
</script>

<template>
  <div class="page">
    <h1>{{ shell.today }}</h1>
    <LoadState :waiting="!data" :failure="failure" @again="load">
      <template v-if="data">
        <h2>{{ w.open }}</h2>
        <JobList :jobs="jobs" show-machine :empty="w.noneOpen" />
        <MoreJobs :label="w.moreOpen" :next="next" :asking="asking" :failed="failed" @more="more" />
        <h2>{{ w.outOfBand }}</h2>
        <JobList :jobs="data.outOfBand" show-machine :empty="w.noneOut" />
        <h2>{{ w.closedLately }}</h2>
        <JobList :jobs="data.recentlyClosed" show-machine :empty="w.noneClosed" />
      </template>
    </LoadState>
  </div>
</template>
