<script setup lang="ts">
import type { StageId } from '~~/core/logbook/entry'

defineProps<{ stage: StageId }>()
</script>

<template>
  <MakeSafeStage v-if="stage === 'make-safe'" />
  <SetUpStage v-else-if="stage === 'set-up'" />
  <ReadingsStage v-else-if="stage === 'as-found' || stage === 're-measure'" :stage="stage" />
  <PlanStage v-else-if="stage === 'plan'" />
  <MoveStage v-else-if="stage === 'move'" />
  <CloseStage v-else />
</template>
