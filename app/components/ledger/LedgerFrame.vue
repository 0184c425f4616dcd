<script setup lang="ts">
import type { StageMark } from '~~/core/logbook/stages'

/** The right-hand ledger: what this means, the numbers, the one next step, the working. */
defineProps<{ mark: StageMark | 'unknown'; headline: string; detail?: string }>()
</script>

<template>
  <aside class="ledger" aria-label="What this means">
    <div class="scroll">
      <h2 aria-live="polite"><VerdictMark :mark="mark" /> {{ headline }}</h2>
      <p v-if="detail" class="detail">{{ detail }}</p>
      <slot />
    </div>
    <div class="next"><slot name="next" /></div>
  </aside>
</template>

<style scoped>
.ledger {
  grid-area: ledger;
  display: flex;
  flex-direction: column;
  min-height: 0;
  background: var(--panel);
  border-left: 1px solid var(--hairline);
}
.scroll {
  flex: 1;
  overflow-y: auto;
  padding: 18px 20px 12px;
}
.scroll > * + * {
  margin-top: 14px;
}
h2 {
  font-size: 20px;
  line-height: 1.3;
}
h2 svg {
  vertical-align: -1px;
  margin-right: 4px;
}
.detail {
  color: var(--muted);
}
.next {
  display: grid;
  gap: 4px;
  padding: 8px 20px 16px;
}
.next:empty {
  display: none;
}
</style>
