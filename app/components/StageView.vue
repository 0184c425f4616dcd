<script setup lang="ts">
import type { StageId } from '~~/core/jobs/jobs'

/** The view of a stage, loaded when it is first opened. */
const props = defineProps<{ stage: StageId }>()
const { kind } = storeToRefs(useJob())
const view = computed(() => kind.value?.views[props.stage])
</script>

<template>
  <component :is="view" />
</template>
