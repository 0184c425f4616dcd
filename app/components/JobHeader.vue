<script setup lang="ts">
const job = useJob()
const outbox = useOutbox()

const connection = computed(() => {
  const waiting = outbox.waiting.length
  if (outbox.turnedDown.length > 0) return 'An entry needs a word'
  if (waiting > 0)
    return outbox.reachable ? 'Sending …' : `${waiting} ${waiting === 1 ? 'entry' : 'entries'} waiting`
  return outbox.reachable ? 'Saved' : 'Out of reach'
})
const telling = useTelling()
const what = computed(() => {
  const m = job.machine
  if (!m) return ''
  const joined =
    m.drive === 'coupled'
      ? m.couplingKind.toLowerCase()
      : telling.value.words.belts.drive(m.belts.count, telling.value.words.belts.kinds[m.belts.kind])
  return `${m.powerKw} kW ${m.movableName.toLowerCase()} to ${m.stationaryName.toLowerCase()} · ${joined} · ${job.folded?.state.rpm ?? m.rpm} rpm`
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
    <p class="muted what">{{ what }}</p>
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
@media (max-width: 640px) {
  .header {
    flex-wrap: wrap;
    gap: 6px 10px;
    padding: 8px 12px;
  }
  h1 {
    flex-basis: 60%;
  }
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
