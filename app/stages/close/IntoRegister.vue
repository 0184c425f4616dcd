<script setup lang="ts">
import { closingWords } from '~~/shared/wording/en'

/** What the register takes over from this job, a line each; nothing where it takes nothing. */
defineProps<{ lines: readonly string[]; signed: boolean }>()
const words = useWords()
const w = closingWords(words).register
</script>

<template>
  <section v-if="lines.length" class="taken" :aria-label="w.name">
    <h3>{{ w.name }}</h3>
    <p v-if="!signed" class="quiet">{{ w.waits }}</p>
    <ul>
      <li v-for="line in lines" :key="line">{{ line }}</li>
    </ul>
  </section>
</template>

<style scoped>
.taken {
  margin-top: 16px;
  padding-top: 12px;
  border-top: 1px solid var(--dye-line);
}
h3 {
  font-size: 16px;
  color: #fff;
}
ul {
  margin: 6px 0 0;
  padding-left: 18px;
}
.quiet {
  color: var(--scribe-dim);
}
</style>
