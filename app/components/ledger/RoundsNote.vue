<script setup lang="ts">
import { movesWords } from '~~/shared/wording/en'
import type { FootedState } from '~~/core/jobs/footed'
import { roundShares } from '~~/core/stages/measure/chase'
import { quantityName } from '~~/shared/wording/quantities'

/** Rounds side by side: each judged quantity as found and after the last moves. */
const props = defineProps<{ state: FootedState }>()
const telling = useTelling()
const w = computed(() => movesWords(telling.value.words))
/** As found and the last rounds: what a narrow ledger holds. */
const SHOWN = 2
const rounds = computed(() => {
  const { measurements, tolerance, target } = props.state
  const shares = roundShares(measurements, tolerance, target)
  return measurements
    .map((m, i) => ({ i, judgement: m.judgement, share: shares[i] ?? null }))
    .filter((r) => r.judgement !== null)
    .filter((r, at, all) => at === 0 || at >= all.length - SHOWN)
})
const quantities = computed(() => rounds.value[0]?.judgement?.quantities ?? [])
const valueOf = (round: (typeof rounds.value)[number], name: string) =>
  round.judgement?.quantities.find((q) => q.name === name)
</script>

<template>
  <div v-if="rounds.length > 1" class="rounds">
    <h3>{{ w.rounds.title }}</h3>
    <FigureTable :head="['', ...rounds.map((r) => (r.i === 0 ? w.rounds.asFound : w.rounds.after(r.i)))]">
      <tr v-for="q in quantities" :key="q.name">
        <td>{{ quantityName(q.name, telling) }}</td>
        <td v-for="r in rounds" :key="r.i">
          <SignedFigure
            :quantity="q"
            :value="valueOf(r, q.name)?.value ?? null"
            :verdict="valueOf(r, q.name)?.verdict"
          />
        </td>
      </tr>
      <tr>
        <td class="muted">{{ w.rounds.share }}</td>
        <td v-for="r in rounds" :key="r.i" class="figure">
          {{ r.share === null ? '–' : w.rounds.ofLimit(Math.round(r.share * 100)) }}
        </td>
      </tr>
    </FigureTable>
  </div>
</template>

<style scoped>
/* Three rounds side by side in a narrow ledger. */
.rounds :deep(.signed .figure),
.rounds :deep(td.figure) {
  font-size: 14px;
}
h3 {
  font-size: 16px;
  margin-bottom: 4px;
}
</style>
