<script setup lang="ts">
import { drumWords, tablesWords } from '~~/shared/wording/en'
import type { Judgement } from '~~/core/judge/judge'
import { signWord } from '~~/shared/wording/directions'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'
import { limitWords, quantityName } from '~~/shared/wording/quantities'

/** Each judged quantity with its sign in words, where it ends after the move in hand, and its window. */
const props = defineProps<{ now: Judgement; after: Judgement | null; source: string }>()
const session = useSession()
const telling = useTelling()
const t = computed(() => tablesWords(telling.value.words))
const w = computed(() => drumWords(telling.value.words))
const units = computed(() =>
  [...new Set(props.now.quantities.map((q) => UNIT_NAMES[session.units][q.kind]))].join(', '),
)
const rows = computed(() =>
  props.now.quantities.map((q) => {
    const after = props.after?.quantities.find((a) => a.name === q.name)
    const shown = (value: number | null) => figure(value, q.kind, session.units, { sign: value !== 0 })
    return {
      q,
      name: quantityName(q.name, telling.value),
      word: signWord(q, q.value, telling.value),
      found: shown(q.value),
      after: after ? shown(after.value) : '',
      mark: after?.verdict ?? q.verdict,
      window: `${q.low !== null && q.high !== null && q.low === -q.high ? '±' : ''}${limitWords(q, telling.value)}`,
    }
  }),
)
</script>

<template>
  <div>
    <FigureTable :head="[units, t.now, ...(after ? [t.after] : []), w.window]">
      <tr v-for="r in rows" :key="r.q.name">
        <td>
          <VerdictMark :mark="r.q.verdict" /> {{ r.name }}<small v-if="r.word">{{ r.word }}</small>
        </td>
        <td class="figure">{{ r.found }}</td>
        <td v-if="after" class="figure" :class="r.mark">{{ r.after }}</td>
        <td class="figure window">{{ r.window }}</td>
      </tr>
    </FigureTable>
    <p class="muted source">{{ source }}</p>
  </div>
</template>

<style scoped>
small {
  display: block;
  padding-left: 20px;
  color: var(--muted);
  font-size: 13px;
}
td:first-child svg {
  vertical-align: -2px;
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
.window {
  color: var(--muted);
  white-space: nowrap;
}
.source {
  font-size: 13px;
  margin-top: 6px;
}
</style>
