<script setup lang="ts">
import { flangeWords } from '~~/shared/wording/en'
import type { FlangeMoveRecord } from '~~/core/stages/flangeMove/moves'
import { achievedTiltWords } from '~~/shared/wording/flange'
import { misalignmentWords } from '~~/shared/wording/directions'

/** What the last shims or push did, against what they were to do. */
const props = defineProps<{ move: FlangeMoveRecord }>()
const telling = useTelling()
const w = computed(() => flangeWords(telling.value.words))
const told = computed(() =>
  [props.move.tilt, props.move.pushed].flatMap((a) => (a ? [achievedTiltWords(a, telling.value)] : [])),
)
</script>

<template>
  <div v-if="told.length > 0">
    <h3>{{ w.achieved.title }}</h3>
    <p v-for="line in told" :key="line">{{ line }}</p>
    <p v-if="move.predicted" class="muted">
      {{ w.report.predicted(misalignmentWords(move.predicted, false, telling)) }}
    </p>
  </div>
</template>

<style scoped>
h3 {
  font-size: 16px;
  margin-bottom: 4px;
}
p {
  font-size: 14px;
  margin: 4px 0;
}
</style>
