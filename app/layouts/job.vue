<script setup lang="ts">
const outbox = useOutbox()
onMounted(() => void outbox.begin())
</script>

<template>
  <div id="main" class="job-shell"><slot /></div>
</template>

<style scoped>
.job-shell {
  height: 100dvh;
}
@media (max-width: 640px) {
  .job-shell {
    height: auto;
    min-height: 100dvh;
  }
}
</style>
