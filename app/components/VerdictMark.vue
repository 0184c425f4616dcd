<script setup lang="ts">
import { sheetWords, shellWords } from '~~/shared/wording/en'
import type { Mark } from '~~/core/logbook/stage'

/** A verdict or a stage's mark as a lozenge: the shape says it, the colour repeats it. */
const props = defineProps<{ mark: Mark | 'unknown'; onDye?: boolean; silent?: boolean }>()
const words = useWords()
const name = computed(() =>
  props.mark === 'unknown' ? shellWords(words).notKnown : sheetWords(words).marks[props.mark],
)
const tone = computed(
  () => ({ in: 'in', done: 'in', edge: 'edge', out: 'out', stale: 'edge' })[props.mark as string] ?? 'none',
)
</script>

<template>
  <svg
    class="mark"
    :class="[tone, { dye: onDye }]"
    viewBox="0 0 16 16"
    width="16"
    height="16"
    :role="silent ? 'presentation' : 'img'"
    :aria-label="silent ? undefined : name"
    :aria-hidden="silent ? 'true' : undefined"
  >
    <path v-if="mark === 'in' || mark === 'done'" d="M8 2l6 6-6 6-6-6z" fill="currentColor" />
    <g v-else-if="mark === 'edge'">
      <path d="M8 2l6 6-6 6-6-6z" fill="none" stroke="currentColor" stroke-width="1.6" />
      <path d="M8 2v12l-6-6z" fill="currentColor" />
    </g>
    <g v-else-if="mark === 'out'" fill="none" stroke="currentColor" stroke-width="1.6">
      <path d="M8 2l6 6-6 6-6-6z" />
      <path d="M2 8h12" />
    </g>
    <g v-else-if="mark === 'stale'" fill="none" stroke="currentColor" stroke-width="1.5">
      <path d="M8 2l6 6-6 6-6-6z" stroke-dasharray="2.4 2" />
      <path d="M8 5.4V8l1.9 1.6" />
    </g>
    <path v-else-if="mark === 'skipped'" d="M4 8h8" stroke="currentColor" stroke-width="1.8" />
    <path
      v-else
      d="M8 2l6 6-6 6-6-6z"
      fill="none"
      stroke="currentColor"
      stroke-width="1.3"
      stroke-dasharray="2.4 2"
    />
  </svg>
</template>

<style scoped>
.mark {
  flex: none;
  color: var(--muted);
}
.in {
  color: var(--in);
}
.edge {
  color: var(--edge);
}
.out {
  color: var(--out);
}
.dye {
  color: var(--scribe-dim);
}
.dye.in {
  color: var(--in-on-dye);
}
.dye.edge {
  color: var(--edge-on-dye);
}
.dye.out {
  color: var(--out-on-dye);
}
</style>
