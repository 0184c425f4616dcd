<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import { machineInLine } from '~~/shared/wording/machineInLine'
import ScreenTag from '~/components/secondScreen/ScreenTag.vue'

/** Few jobs have instruments that speak: their tag comes once the view is drawn. */
const InstrumentsTag = defineAsyncComponent(() => import('~/components/instruments/InstrumentsTag.vue'))

const job = useJob()
const outbox = useOutbox()
const words = useWords()
const behind = useBehind()

const connection = computed(() => {
  const waiting = outbox.waiting.length
  const w = shellWords(words).connection
  if (outbox.turnedDown.length > 0) return w.needsAWord
  if (waiting > 0) return outbox.reachable ? w.sending : w.waiting(waiting)
  return outbox.reachable ? w.saved : w.outOfReach
})
const what = computed(() =>
  job.machine
    ? machineInLine(job.machine, job.coupled?.rpm ?? job.folded?.state.rpm ?? job.machine.rpm, words)
    : '',
)
</script>

<template>
  <HeadFrame back="/" :back-label="shellWords(words).toToday" :what="what">
    <template #title
      ><NuxtLink :to="`/machines/${job.machine?.tag}`"
        >{{ job.machine?.tag }} {{ job.machine?.name }}</NuxtLink
      ></template
    >
    <span class="muted connection" role="status">{{ connection }}</span>
    <InstrumentsTag v-if="behind && !job.folded?.state.closing" />
    <ScreenTag v-if="!job.folded?.state.closing" />
  </HeadFrame>
</template>

<style scoped>
.connection {
  font-size: 14px;
  white-space: nowrap;
}
</style>
