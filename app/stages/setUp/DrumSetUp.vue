<script setup lang="ts">
import { drumWords } from '~~/shared/wording/en'

/** What is otherwise at a drum: rods from the motor's own half, and what a tape is good for. */
const telling = useTelling()
const w = computed(() => drumWords(telling.value.words).setUp)
</script>

<template>
  <div class="drum">
    <p>{{ w.note }}</p>
    <p>{{ w.zero }} {{ w.optional }}</p>
    <p class="caution">{{ w.brake }}</p>
  </div>
</template>

<style scoped>
.drum {
  display: grid;
  gap: 4px;
  margin: 4px 0 8px;
  font-size: 14px;
  color: var(--scribe);
}
</style>
