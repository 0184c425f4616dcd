<script setup lang="ts">
import type { WorkingStep } from '~~/shared/working/step'

/** Every number of this stage, unfolded to its formula with this job's numbers in it. */
defineProps<{ steps: readonly WorkingStep[] }>()
</script>

<template>
  <details v-if="steps.length" class="working">
    <summary>Show working</summary>
    <details v-for="step in steps" :key="step.name" class="step">
      <summary>
        <span>{{ step.name }}</span> <span class="figure">{{ step.result }}</span>
      </summary>
      <p class="figure formula">{{ step.formula }}</p>
      <p class="figure">{{ step.substituted }}</p>
      <p v-if="step.note" class="muted">{{ step.note }}</p>
    </details>
  </details>
</template>

<style scoped>
.working {
  border-top: 1px solid var(--hairline);
}
summary {
  min-height: var(--touch);
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  cursor: pointer;
  list-style: none;
}
summary::-webkit-details-marker {
  display: none;
}
.working > summary::after {
  content: '⌄';
  color: var(--muted);
}
.step {
  border-top: 1px solid var(--hairline);
}
.step p {
  font-size: 14px;
  line-height: 1.5;
  margin-bottom: 6px;
  overflow-wrap: anywhere;
}
.formula {
  color: var(--muted);
}
.step summary {
  font-size: 15px;
}
</style>
