<script setup lang="ts">
import { beltsWords, closingWords, tablesWords, verdictsWords } from '~~/shared/wording/en'
import type { BeltState } from '~~/core/jobs/belt'
import { lineFigure, lineLimit } from '~~/shared/wording/lines'

/** The sheaves' line as found against as left. */
const props = defineProps<{ state: BeltState }>()
const telling = useTelling()
const words = computed(() => telling.value.words)
const rows = computed(() =>
  (props.state.asLeft?.quantities ?? []).map((q) => ({
    q,
    before: props.state.asFound?.quantities.find((b) => b.name === q.name),
  })),
)
const sums = computed(() =>
  (
    [
      [closingWords(words.value).asFound, props.state.asFound],
      [closingWords(words.value).asLeft, props.state.asLeft],
    ] as const
  ).map(([name, line]) => ({ name, verdict: line?.verdict ?? ('unknown' as const) })),
)
const corrections = computed(() => props.state.lines.length - 1)
</script>

<template>
  <BoardFrame
    :title="closingWords(words).view.sheavesTitle"
    :note="closingWords(words).view.correctionsBetween(corrections)"
  >
    <template v-if="rows.length">
      <div class="views">
        <p v-for="s in sums" :key="s.name">
          <span>{{ s.name }}</span> <VerdictMark :mark="s.verdict" on-dye />
          <strong>{{ verdictsWords(words)[s.verdict] }}</strong>
        </p>
      </div>
      <FigureTable
        on-dye
        :head="[
          tablesWords(words).grooveToGroove,
          tablesWords(words).asFound,
          tablesWords(words).asLeft,
          tablesWords(words).limit,
        ]"
      >
        <tr v-for="{ q, before } in rows" :key="q.name">
          <td>{{ beltsWords(words).quantities[q.name] }}</td>
          <td class="figure">{{ before ? lineFigure(before, telling) : '–' }}</td>
          <td class="figure big">
            <VerdictMark v-if="q.verdict" :mark="q.verdict" on-dye /> {{ lineFigure(q, telling) }}
          </td>
          <td class="figure">{{ lineLimit(q, telling) }}</td>
        </tr>
      </FigureTable>
    </template>
    <p v-else class="empty">{{ closingWords(words).view.sheavesNotRead }}</p>
  </BoardFrame>
</template>

<style scoped>
.views {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
  padding: 8px 0 12px;
  font-size: 18px;
  color: #fff;
}
.views span {
  color: var(--scribe-dim);
}
.big {
  font-size: 19px;
}
.empty {
  margin: auto;
  color: var(--scribe-dim);
}
</style>
