<script setup lang="ts">
import { comeBackWords } from '~~/shared/wording/en'

/** What the signs of the calendar mean. */
const words = useWords()
const w = comeBackWords(words)
</script>

<template>
  <p class="key muted">
    <span class="tag figure">{{ w.key.lands }}</span> {{ w.key.stands }}
    <span class="tag figure asks">{{ w.key.lands }}</span> {{ w.key.asks }}
    <span class="hall" aria-hidden="true" /> {{ w.key.hall }}
  </p>
</template>

<style scoped>
.key {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
  font-size: 14px;
}
.tag {
  padding: 0 5px;
  border: 1.5px solid var(--field-line);
  border-radius: 4px;
  font-size: 13px;
}
.tag:not(:first-child),
.hall {
  margin-left: 8px;
}
.asks {
  border-style: dashed;
}
.hall {
  width: 28px;
  height: 14px;
  border: 1px solid var(--hairline);
  background: repeating-linear-gradient(-45deg, var(--hairline) 0 4px, transparent 4px 8px);
}
</style>
