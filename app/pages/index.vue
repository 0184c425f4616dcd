<script setup lang="ts">
import type { TodayAnswer } from '~~/shared/api/answers'

const words = useWords()
const { shell } = words
const w = words.pages.today
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
        <template v-if="data.due.length">
          <h2>{{ words.closing.due.title }}</h2>
          <JobList :jobs="data.due" show-machine due :empty="w.noneOpen" />
        </template>
        <h2>{{ w.open }}</h2>
        <JobList :jobs="jobs" show-machine :empty="w.noneOpen" />
        <MoreJobs :label="w.moreOpen" :next="next" :asking="asking" :failed="failed" @more="more" />
        <h2>{{ w.outOfBand }}</h2>
        <JobList :jobs="data.outOfBand" show-machine :empty="w.noneOut" />
        <template v-if="data.provisional.length">
          <h2>{{ words.hot.today.title }}</h2>
          <JobList :jobs="data.provisional" show-machine expecting :empty="words.hot.today.none" />
        </template>
        <h2>{{ w.closedLately }}</h2>
        <JobList :jobs="data.recentlyClosed" show-machine :empty="w.noneClosed" />
      </template>
    </LoadState>
  </div>
</template>
