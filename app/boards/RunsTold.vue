<script setup lang="ts">
import type { Verdict } from '~~/core/judge/judge'
import { gearWords, verdictsWords } from '~~/shared/wording/en'

/** What the two runs have in common and what sets them apart, each with its sign, its figure and what it asks for. */
defineProps<{
  rows: readonly {
    readonly figure: 'together' | 'apart'
    readonly value: string
    readonly verdict: Verdict
    readonly limit: string
    readonly does: string
    /** It is what is to be done now. */
    readonly now: boolean
  }[]
}>()
const words = useWords()
const w = gearWords(words)
const BARS = { together: [12, 12], apart: [12, 34] } as const
</script>

<template>
  <div class="runs">
    <section v-for="r in rows" :key="r.figure" :aria-label="w.figures[r.figure]">
      <svg viewBox="0 0 70 36" aria-hidden="true">
        <template v-for="(x, i) in BARS[r.figure]" :key="i">
          <rect x="2" :y="2 + 17 * i" width="66" height="13" class="flank" />
          <rect :x="x" :y="4 + 17 * i" width="20" height="9" class="paint" />
        </template>
        <path d="M36 0V36" class="aim" />
      </svg>
      <div>
        <h4>{{ w.figures[r.figure] }}</h4>
        <p :class="r.verdict">
          <VerdictMark :mark="r.verdict" on-dye />
          {{ w.view.verdictIs(verdictsWords(words)[r.verdict], r.limit) }}
        </p>
      </div>
      <p :class="['value', r.verdict]">
        <span class="figure">{{ r.value }}</span> {{ w.percentSign }}
      </p>
      <p v-if="r.does" :class="['does', { now: r.now }]">{{ r.does }}</p>
    </section>
  </div>
</template>

<style scoped>
section {
  display: grid;
  grid-template-columns: 70px minmax(0, 1fr) auto;
  gap: 2px 14px;
  align-items: center;
  padding: 6px 0;
}
section + section {
  border-top: 1px solid var(--dye-line);
}
section > svg {
  width: 70px;
}
.flank {
  fill: var(--dye-deep);
  stroke: var(--scribe-dim);
}
.paint {
  fill: var(--scribe);
}
.aim {
  stroke: #fff;
  stroke-dasharray: 3 2;
}
h4 {
  margin: 0;
  font-size: 15px;
  font-weight: 400;
  color: #fff;
}
p {
  font-size: 14px;
}
.in {
  color: var(--in-on-dye);
}
.edge {
  color: var(--edge-on-dye);
}
.out {
  color: var(--out-on-dye);
}
.value span {
  font-size: 26px;
}
.does {
  grid-column: 1 / -1;
  color: var(--scribe-dim);
  line-height: 1.3;
}
.does.now {
  color: var(--brass-on-dye);
  font-weight: 700;
}
</style>
