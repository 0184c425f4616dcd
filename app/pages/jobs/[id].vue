<script setup lang="ts">
import type { StageId } from '~~/core/logbook/entry'
import { useKeyEvents } from '~/composables/useKeys'

definePageMeta({ layout: 'job' })
const route = useRoute()
const job = useJob()
const shown = ref<StageId | null>(null)
const { stageAsked } = useKeyEvents()

watch(
  () => String(route.params.id),
  (id) => void job.open(id),
  { immediate: true },
)
onBeforeUnmount(() => job.leave())
watch(stageAsked, (asked) => asked && (shown.value = asked.stage))
useHead({
  title: () =>
    job.machine ? `${job.machine.tag} ${job.machine.name} · Hushed Caliper` : 'Job · Hushed Caliper',
})

/** Stays where the person is: a stage changes by opening another or by going on, never under the hands. */
const stage = computed<StageId>(() => shown.value ?? 'make-safe')
const goOn = () => (shown.value = job.state?.current ?? null)
provide(goOnKey, goOn)
watch(
  () => [job.id, job.state !== null] as const,
  ([, loaded], before) => {
    if (!loaded) shown.value = null
    else if (shown.value === null || before?.[0] !== job.id) goOn()
  },
  { immediate: true },
)
</script>

<template>
  <div v-if="job.machine && job.state && job.live" class="job">
    <JobHeader />
    <RunSheet :state="job.live" :stage="stage" @open="shown = $event" />
    <StageView :key="stage" :stage="stage" />
  </div>
  <div v-else class="page">
    <NuxtLink to="/" class="text-button">Today</NuxtLink>
    <LoadState :waiting="!job.machine" :failure="job.failure" @again="job.open(String(route.params.id))" />
  </div>
</template>

<style scoped>
.job {
  height: 100%;
  display: grid;
  grid-template: var(--header) 1fr / 216px minmax(0, 1fr) 340px;
  grid-template-areas: 'header header header' 'sheet board ledger';
}
.job > :deep(.header) {
  grid-area: header;
}
@media (max-width: 1100px) {
  .job {
    grid-template-columns: 86px minmax(0, 1fr) 320px;
  }
}
@media (max-width: 860px) {
  .job {
    grid-template: var(--header) minmax(460px, 1.2fr) minmax(260px, 1fr) / 86px minmax(0, 1fr);
    grid-template-areas: 'header header' 'sheet board' 'sheet ledger';
  }
}
</style>
