<script setup lang="ts">
const job = useJob()
const outbox = useOutbox()

const connection = computed(() => {
  const waiting = outbox.waiting.length
  if (waiting > 0)
    return outbox.reachable ? 'Sending …' : `${waiting} ${waiting === 1 ? 'entry' : 'entries'} waiting`
  return outbox.reachable ? 'Saved' : 'Out of reach'
})
</script>

<template>
  <header class="header">
    <NuxtLink to="/" class="home" aria-label="Hushed Caliper, to Today"
      ><img src="/mark.svg" alt="" width="30" height="30"
    /></NuxtLink>
    <h1>
      <NuxtLink :to="`/machines/${job.machine?.tag}`"
        >{{ job.machine?.tag }} {{ job.machine?.name }}</NuxtLink
      >
    </h1>
    <p class="muted what">
      {{ job.machine?.powerKw }} kW {{ job.machine?.movableName.toLowerCase() }} to
      {{ job.machine?.stationaryName.toLowerCase() }} · {{ job.machine?.couplingKind.toLowerCase() }} ·
      {{ job.state?.rpm }} rpm
    </p>
    <span class="muted connection" role="status">{{ connection }}</span>
    <SessionControls />
  </header>
</template>

<style scoped>
.header {
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 0 16px 0 20px;
  background: var(--panel);
  border-bottom: 1px solid var(--hairline);
  min-width: 0;
}
.home {
  display: flex;
}
h1 {
  font-size: 18px;
  white-space: nowrap;
}
h1 a {
  text-decoration: none;
}
.what {
  flex: 1;
  min-width: 0;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  font-size: 14px;
}
.connection {
  font-size: 14px;
  white-space: nowrap;
}
@media (max-width: 900px) {
  .what {
    display: none;
  }
  h1 {
    flex: 1;
    overflow: hidden;
    text-overflow: ellipsis;
  }
}
</style>
