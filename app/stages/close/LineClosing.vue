<script setup lang="ts">
import { beltRegisterChanges } from '~~/core/stages/close/beltRegister'
import { beltsWords, closingWords, tablesWords, tensionWords, verdictsWords } from '~~/shared/wording/en'
import { beltRegisterWords } from '~~/shared/wording/beltRegister'
import { forceFigure, percent } from '~~/shared/wording/forces'
import type { BeltState } from '~~/core/jobs/belt'
import { lineFigure, lineLimit } from '~~/shared/wording/lines'
import IntoRegister from './IntoRegister.vue'
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
/** Mean and spread of the set, as found before anything was slackened and as left. */
const tension = computed(() => {
  const left = props.state.tensionLeft
  if (!left) return []
  const { tensionFound: first } = props.state
  // Read once only: as it was found is as it was left.
  const found = first?.entry === left.entry ? null : first
  const v = tensionWords(words.value).view
  const f = (x: number | null | undefined) =>
    x === null || x === undefined ? '–' : forceFigure(x, telling.value.units, true)
  const [low, high] = left.band?.tension ?? []
  const several = left.belts.length > 1
  const mean = left.band && left.leans ? (left.leans === 'in' ? ('in' as const) : ('out' as const)) : null
  return [
    {
      name: several ? v.mean : v.aBelt,
      before: f(found?.mean),
      after: f(left.mean),
      limit:
        low === undefined || high === undefined
          ? '–'
          : `${forceFigure(low, telling.value.units)}–${forceFigure(high, telling.value.units)}`,
      verdict: mean,
    },
    ...(several
      ? [
          {
            name: v.spread,
            before: found ? percent(found.spread) : '–',
            after: percent(left.spread),
            limit: percent(left.spreadLimit),
            verdict: left.unmatched ? ('out' as const) : ('in' as const),
          },
        ]
      : []),
  ]
})
const taken = computed(() => beltRegisterWords(beltRegisterChanges(props.state), telling.value))
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
    <FigureTable
      v-if="tension.length"
      class="tension"
      on-dye
      :head="[
        closingWords(words).view.tension,
        tablesWords(words).asFound,
        tablesWords(words).asLeft,
        tablesWords(words).limit,
      ]"
    >
      <tr v-for="r in tension" :key="r.name">
        <td>{{ r.name }}</td>
        <td class="figure">{{ r.before }}</td>
        <td class="figure big"><VerdictMark v-if="r.verdict" :mark="r.verdict" on-dye /> {{ r.after }}</td>
        <td class="figure">{{ r.limit }}</td>
      </tr>
    </FigureTable>
    <IntoRegister :lines="taken" :signed="state.closing !== null" />
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
.tension {
  margin-top: 18px;
}
.empty {
  margin: 12px 0;
  color: var(--scribe-dim);
}
</style>
