<script setup lang="ts">
import type { StageId } from '~~/core/jobs/jobs'
import OverShoulder from '~/components/practice/OverShoulder.vue'
import { loadedAhead } from '~/stages/ahead'
import PracticeHeader from '~/components/practice/PracticeHeader.vue'
import { useKeyEvents } from '~/composables/useKeys'
import { quietKey } from '~/composables/quiet'

const BenchPanel = loadedAhead(() => import('~/components/practice/BenchPanel.vue'))
const DrivePanel = loadedAhead(() => import('~/components/practice/DrivePanel.vue'))

definePageMeta({ layout: 'job' })
const route = useRoute()
const practice = usePractice()
const { boardOrTable } = useKeyEvents()
// Beside the bench there is room for rows, not for pads.
onMounted(() => (boardOrTable.value = true))
onBeforeUnmount(() => (boardOrTable.value = false))

/** Stages whose ledger would say at once what a check found. */
const CHECKED: readonly StageId[] = [
  'feet',
  'set-up',
  'as-found',
  're-measure',
  'prove',
  'inspect',
  'square',
  'line-up',
  'fit',
  'tension',
  'tighten',
]
const stage = ref<StageId>('make-safe')
/** Once a check was asked for, all of them speak until the next entry. */
const hush = computed(
  () => CHECKED.includes(stage.value) && practice.asked !== 'check' && practice.asked !== 'answer',
)
provide(quietKey, { panel: OverShoulder, hush })
/** Desk work wants no hands at the machine: the bench makes room for it. */
const AT_THE_DESK: readonly StageId[] = ['open', 'make-safe', 'target', 'plan', 'close']
const folded = ref(false)
watch(stage, (now) => (folded.value = AT_THE_DESK.includes(now)), { immediate: true })
const seen = (now: StageId) => {
  stage.value = now
  return now
}
</script>

<template>
  <JobDesk :id="String(route.params.id)" :bench-folded="folded">
    <template #header><PracticeHeader /></template>
    <template #bench="{ stage: now }"
      ><BenchPanel v-if="practice.coupled" v-model:folded="folded" :stage="seen(now)" /><DrivePanel
        v-else-if="practice.drive"
        v-model:folded="folded"
        :stage="seen(now)"
    /></template>
  </JobDesk>
</template>
