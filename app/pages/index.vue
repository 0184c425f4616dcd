<script setup lang="ts">
import type { TodayAnswer } from '~~/shared/api/answers'

useHead({ title: 'Today · Hushed Caliper' })
const { data, failure, load } = useAnswer<TodayAnswer>(() => '/api/today')
</script>

<template>
  <div class="page">
    <h1>Today</h1>
    <LoadState :waiting="!data" :failure="failure" @again="load">
      <template v-if="data">
        <h2>Open jobs</h2>
        <JobList :jobs="data.open" show-machine empty="No job is open. Start one from a machine." />
        <h2>Left out of band or on the edge</h2>
        <JobList :jobs="data.outOfBand" show-machine empty="Every machine measured was left in band." />
        <h2>Closed lately</h2>
        <JobList :jobs="data.recentlyClosed" show-machine empty="No job has been closed yet." />
      </template>
    </LoadState>
  </div>
</template>
