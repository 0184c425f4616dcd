<script setup lang="ts">
import type { StageId } from '~~/core/jobs/jobs'
import { VIEWS } from '~/stages/views'

/** The view of a stage, loaded when it is first opened. */
const props = defineProps<{ stage: StageId }>()
const view = computed(() => VIEWS[props.stage])
</script>

<template>
  <component :is="view" />
</template>
