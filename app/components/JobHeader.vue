<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import { machineInLine } from '~~/shared/wording/machineInLine'
import ConnectionTag from '~/components/device/ConnectionTag.vue'
import ScreenTag from '~/components/secondScreen/ScreenTag.vue'

/** Few jobs have instruments that speak: their tag comes once the view is drawn. */
const InstrumentsTag = defineAsyncComponent(() => import('~/components/instruments/InstrumentsTag.vue'))

const job = useJob()
const words = useWords()
const behind = useBehind()

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
    <ConnectionTag />
    <InstrumentsTag v-if="behind && !job.folded?.state.closing" />
    <ScreenTag v-if="!job.folded?.state.closing" />
  </HeadFrame>
</template>
