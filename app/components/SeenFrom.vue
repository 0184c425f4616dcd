<script setup lang="ts">
import { machineNames } from '~~/shared/wording/machineNames'
import { shellWords } from '~~/shared/wording/en'
import IconTurn from '~icons/lucide/arrow-left-right'

/** From which end this person looks at the shafts; a press goes round to the other. */
const job = useJob()
const w = shellWords(useWords()).seenFrom
const names = computed(() => (job.footed ? machineNames(job.footed) : null))
const told = computed(() =>
  names.value ? w.from(names.value[job.viewFrom === 'stationary' ? 'stationary' : 'movable']) : '',
)
</script>

<template>
  <el-button
    v-if="names"
    link
    class="text-button seen"
    :title="w.why"
    :aria-label="told"
    @click="job.goRound()"
  >
    <IconTurn aria-hidden="true" /><span class="long">{{ told }}</span>
  </el-button>
</template>

<style scoped>
.seen {
  padding: 0 16px;
  text-align: left;
  color: var(--muted);
}
.seen :deep(> span) {
  gap: 8px;
  white-space: normal;
}
@media (max-width: 1100px) {
  .long {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
}
</style>
