<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import type { StageId } from '~~/core/jobs/jobs'
import { useKeyEvents } from '~/composables/useKeys'
import { fetchAhead } from '~/stages/ahead'

definePageMeta({ layout: 'job' })
const route = useRoute()
const job = useJob()
const words = useWords()
const shell = shellWords(words)
const shown = ref<StageId | null>(null)
const { stageAsked } = useKeyEvents()

watch(
  () => String(route.params.id),
  (id) => void job.open(id),
  { immediate: true },
)
onBeforeUnmount(() => job.leave())
watch(useBehind(), fetchAhead)
const open = (stage: StageId) => {
  job.refusal = ''
  shown.value = stage
}
watch(stageAsked, (asked) => {
  const row = asked ? job.folded?.sheet.rows[asked.at] : undefined
  if (row) open(row.id)
})
useHead({
  title: () => shell.pageTitle(job.machine ? `${job.machine.tag} ${job.machine.name}` : shell.job),
})

/** Stays where the person is: a stage changes by opening another or by going on, never under the hands. */
const stage = computed<StageId>(() => shown.value ?? 'make-safe')
const goOn = () => {
  if (job.folded) open(job.folded.sheet.current)
}
provide(goOnKey, goOn)
provide(openStageKey, open)
watch(
  () => [job.id, job.folded !== null] as const,
  ([, loaded], before) => {
    if (!loaded) shown.value = null
    else if (shown.value === null || before?.[0] !== job.id) goOn()
  },
  { immediate: true },
)
</script>

<template>
  <div v-if="job.machine && job.folded" class="job">
    <JobHeader />
    <RunSheet :job="job.folded" :stage="stage" @open="open" />
    <StageView :key="`${job.id} ${stage} ${job.viewFrom}`" :stage="stage" />
  </div>
  <div v-else class="page">
    <NuxtLink to="/" class="text-button">{{ shell.today }}</NuxtLink>
    <LoadState :waiting="!job.machine" :failure="job.failure" @again="job.open(String(route.params.id))" />
  </div>
</template>

<style scoped>
.job {
  height: 100%;
  display: grid;
  grid-template: var(--header) minmax(0, 1fr) / 216px minmax(0, 1fr) 340px;
  grid-template-areas: 'header header header' 'sheet board ledger';
}
.job > :deep(.header) {
  grid-area: header;
}
@media (max-width: 1100px) {
  .job {
    grid-template-columns: 86px minmax(0, 1fr) 310px;
  }
}
@media (max-width: 860px) {
  .job {
    grid-template: var(--header) minmax(460px, 1.9fr) minmax(260px, 1fr) / 86px minmax(0, 1fr);
    grid-template-areas: 'header header' 'sheet board' 'sheet ledger';
  }
}
@media (max-width: 640px) {
  .job {
    height: auto;
    min-height: 100%;
    grid-template: auto auto auto auto / minmax(0, 1fr);
    grid-template-areas: 'header' 'sheet' 'board' 'ledger';
  }
}
</style>
