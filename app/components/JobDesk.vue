<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import type { StageId } from '~~/core/jobs/jobs'
import { useKeyEvents } from '~/composables/useKeys'
import { fetchAhead } from '~/stages/ahead'

/** A job at work: its run sheet, the board and the ledger of one stage, and above the board what a bench puts there. */
const props = defineProps<{
  id: string
  /** The bench shows its head alone. */
  benchFolded?: boolean
}>()
defineSlots<{ header: () => unknown; bench: (of: { readonly stage: StageId }) => unknown }>()
const job = useJob()
const words = useWords()
const shell = shellWords(words)
const shown = ref<StageId | null>(null)
const { stageAsked } = useKeyEvents()

watch(
  () => props.id,
  (id) => void job.open(id),
  { immediate: true },
)
onBeforeUnmount(() => job.leave())
watch(useBehind(), fetchAhead)
const rowsAt = (stage: StageId) => (job.train && job.kind?.partsAt ? job.kind.partsAt(job.train, stage) : [])
/** The part of a line a stage is opened at: the one that wants it, else the one that was in view, else the first. */
const partFor = (stage: StageId) => {
  const rows = rowsAt(stage)
  const wanted = rows.find((r) => r.wants) ?? rows.find((r) => r.part.id === job.part) ?? rows[0]
  return wanted?.part.id ?? null
}
const open = (stage: StageId) => {
  job.refusal = ''
  job.part = partFor(stage)
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
const parts = computed(() => rowsAt(stage.value))
/** Signed for, a job stays in view; from anything else that somebody stood by it goes on, as after any other entry. */
watch(
  () => job.stoodBy,
  (entry) => {
    if (entry && entry.kind !== 'job-closed') goOn()
  },
)
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
  <div
    v-if="job.machine && job.folded"
    class="job"
    :class="{ lined: parts.length > 0, benched: $slots['bench'] !== undefined, folded: benchFolded }"
  >
    <slot name="header" />
    <RunSheet :job="job.folded" :stage="stage" @open="open" />
    <LazyPartBar
      v-if="job.train && parts.length > 0"
      v-model="job.part"
      class="line"
      :rows="parts"
      :train="job.train"
      :moving="stage === 'move'"
    />
    <div v-if="$slots['bench']" class="bench"><slot name="bench" :stage="stage" /></div>
    <StageView :key="`${job.id} ${stage} ${job.part ?? ''} ${job.viewFrom}`" :stage="stage" />
  </div>
  <div v-else class="page">
    <NuxtLink to="/" class="text-button">{{ shell.today }}</NuxtLink>
    <LoadState :waiting="!job.machine" :failure="job.failure" @again="job.open(id)" />
  </div>
</template>

<style scoped>
.job {
  height: 100%;
  display: grid;
  grid-template: var(--header) minmax(0, 1fr) / 216px minmax(0, 1fr) 340px;
  grid-template-areas: 'header header header' 'sheet board ledger';
}
.job.lined {
  grid-template: var(--header) auto minmax(0, 1fr) / 216px minmax(0, 1fr) 340px;
  grid-template-areas: 'header header header' 'sheet line line' 'sheet board ledger';
}
.line {
  grid-area: line;
}
.job.benched {
  grid-template: var(--header) minmax(0, 1.5fr) minmax(0, 1fr) / 216px minmax(0, 1fr) 340px;
  grid-template-areas: 'header header header' 'sheet bench ledger' 'sheet board ledger';
}
.job.benched.folded {
  grid-template-rows: var(--header) auto minmax(0, 1fr);
}
.bench {
  grid-area: bench;
  min-width: 0;
  min-height: 0;
  overflow: auto;
  background: var(--dye);
}
@media (max-width: 1100px) {
  .job,
  .job.benched,
  .job.lined {
    grid-template-columns: 86px minmax(0, 1fr) 310px;
  }
}
@media (max-width: 860px) {
  .job {
    grid-template: var(--header) minmax(460px, 1.9fr) minmax(260px, 1fr) / 86px minmax(0, 1fr);
    grid-template-areas: 'header header' 'sheet board' 'sheet ledger';
  }
  .job.lined {
    grid-template: var(--header) auto minmax(460px, 1.9fr) minmax(260px, 1fr) / 86px minmax(0, 1fr);
    grid-template-areas: 'header header' 'sheet line' 'sheet board' 'sheet ledger';
  }
}
@media (max-width: 860px) {
  .job.benched {
    grid-template: var(--header) minmax(390px, 1.2fr) minmax(300px, 1fr) minmax(200px, 0.7fr) / 86px minmax(
        0,
        1fr
      );
    grid-template-areas: 'header header' 'sheet bench' 'sheet board' 'sheet ledger';
  }
  .job.benched.folded {
    grid-template-rows: var(--header) auto minmax(390px, 1.9fr) minmax(260px, 1fr);
  }
}
@media (max-width: 640px) {
  .job.benched {
    grid-template: auto auto auto auto auto / minmax(0, 1fr);
    grid-template-areas: 'header' 'sheet' 'bench' 'board' 'ledger';
  }
  .job.benched.folded {
    grid-template-rows: auto auto auto auto auto;
  }
  .job {
    height: auto;
    min-height: 100%;
    grid-template: auto auto auto auto / minmax(0, 1fr);
    grid-template-areas: 'header' 'sheet' 'board' 'ledger';
  }
  .job.lined {
    grid-template: auto auto auto auto auto / minmax(0, 1fr);
    grid-template-areas: 'header' 'sheet' 'line' 'board' 'ledger';
  }
}
</style>
