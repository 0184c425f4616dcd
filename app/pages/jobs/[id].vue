<script setup lang="ts">
definePageMeta({ layout: 'job' })
const route = useRoute()
</script>

<template>
  <JobDesk :id="String(route.params.id)">
    <template #header><JobHeader /></template>
  </JobDesk>
</template>
