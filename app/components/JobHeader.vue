<script setup lang="ts">
import { shellWords, drivesWords } from '~~/shared/wording/en'
import { joinedWords } from '~~/shared/wording/joined'
import ScreenTag from '~/components/secondScreen/ScreenTag.vue'

const job = useJob()
const outbox = useOutbox()
const words = useWords()

const connection = computed(() => {
  const waiting = outbox.waiting.length
  const w = shellWords(words).connection
  if (outbox.turnedDown.length > 0) return w.needsAWord
  if (waiting > 0) return outbox.reachable ? w.sending : w.waiting(waiting)
  return outbox.reachable ? w.saved : w.outOfReach
})
const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
const what = computed(() => {
  const m = job.machine
  if (!m) return ''
  const { between: drive, inJob } = drivesWords(words)
  const between = drive(m.movableName.toLowerCase(), m.stationaryName.toLowerCase())
  return inJob(
    m.powerKw,
    between,
    lower(joinedWords(m, words)),
    Math.round(job.coupled?.rpm ?? job.folded?.state.rpm ?? m.rpm),
  )
})
</script>

<template>
  <header class="header">
    <NuxtLink to="/" class="home" :aria-label="shellWords(words).toToday"
      ><img src="/mark.svg" alt="" width="30" height="30"
    /></NuxtLink>
    <h1>
      <NuxtLink :to="`/machines/${job.machine?.tag}`"
        >{{ job.machine?.tag }} {{ job.machine?.name }}</NuxtLink
      >
    </h1>
    <p class="muted what">{{ what }}</p>
    <span class="muted connection" role="status">{{ connection }}</span>
    <ScreenTag v-if="!job.folded?.state.closing" />
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
