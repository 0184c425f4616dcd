<script setup lang="ts">
import { peopleWords } from '~~/shared/wording/en'

/** The whole works to take away, in open formats. */
const words = useWords()
const w = peopleWords(words).admin
</script>

<template>
  <div class="panel archive">
    <p>{{ w.archiveNote }}</p>
    <p>
      <a class="text-button" href="/api/files/works.tar.gz" download>{{ w.archive }}</a>
    </p>
    <p class="muted">{{ w.archiveBack }}</p>
  </div>
</template>

<style scoped>
.archive {
  display: grid;
  gap: 10px;
  max-width: 760px;
  padding: 18px 20px;
}
</style>
