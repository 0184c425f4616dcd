<script setup lang="ts">
import { closingWords, tablesWords, trainWords, verdictsWords } from '~~/shared/wording/en'
import type { TrainState } from '~~/core/jobs/train'
import { bothViews } from '~~/shared/drawing/trainView'
import { leftFigures, leftTrain } from '~~/shared/stages/trainPlan/drawing'
import { misalignmentWords } from '~~/shared/wording/directions'
import { couplingsTold } from '~~/shared/stages/trainPlan/told'
import { packsTold } from '~~/shared/wording/train'
import { limitSource } from '~~/shared/wording/tolerances'

/** The whole line as found against as left: every coupling judged, and all of it drawn. */
const props = defineProps<{ state: TrainState }>()
const telling = useTelling()
const w = computed(() => trainWords(telling.value.words))
const t = computed(() => tablesWords(telling.value.words))
const verdicts = computed(() => verdictsWords(telling.value.words))
const rows = computed(() =>
  props.state.couplings.map(({ part, state: own }) => {
    const to = telling.value.of(part.machine)
    const said = (which: 'asFound' | 'asLeft') => {
      const m = own[which]
      return {
        words: m?.coupling ? misalignmentWords(m.coupling, false, to) : closingWords(to.words).notMeasured,
        verdict: m?.judgement?.verdict ?? ('unknown' as const),
      }
    }
    return {
      id: part.id,
      name: w.value.report.couplingName(part.name, String(Math.round(own.rpm))),
      found: said('asFound'),
      left: said('asLeft'),
      source: limitSource(own, to),
    }
  }),
)
const drawn = computed(() => leftTrain(props.state))
const views = computed(() => (drawn.value ? bothViews(drawn.value) : []))
const figures = computed(() => leftFigures(props.state))
const machines = computed(() =>
  props.state.machines.map((m) => ({
    id: m.part.id,
    name: m.part.name,
    note: m.held.held
      ? w.value.plan.held[m.held.by ?? 'register']
      : m.state.moves.length > 0
        ? w.value.part.done
        : w.value.plan.leftAlone,
    held: m.held.held,
    moves: m.state.moves.length > 0,
    done: {},
  })),
)
const packs = computed(() =>
  packsTold(
    props.state.machines.filter((m) => m.state.shimmed),
    telling.value,
  ),
)
</script>

<template>
  <BoardFrame :title="w.closing.title" :note="w.closing.note(state.rounds)" scrolls>
    <FigureTable on-dye :head="[w.closing.coupling, t.asFound, t.asLeft]">
      <tr v-for="r in rows" :key="r.id">
        <td>
          {{ r.name }}<br /><span class="quiet">{{ r.source }}</span>
        </td>
        <td class="words">
          <VerdictMark :mark="r.found.verdict" on-dye /> {{ verdicts[r.found.verdict] }}<br />{{
            r.found.words
          }}
        </td>
        <td class="words">
          <VerdictMark :mark="r.left.verdict" on-dye /> {{ verdicts[r.left.verdict] }}<br />{{ r.left.words }}
        </td>
      </tr>
    </FigureTable>
    <TrainView
      v-for="v in views"
      :key="v.plane"
      :view="v.view"
      :title="w.plan.views[v.plane]"
      :note="v.plane === 'v' ? w.closing.drawn(v.times) : ''"
      :machines="machines"
      :couplings="couplingsTold(figures, drawn!, v.plane, telling)"
    />
    <template v-if="packs.length">
      <h3>{{ w.closing.packs }}</h3>
      <ul>
        <li v-for="line in packs" :key="line">{{ line }}</li>
      </ul>
    </template>
  </BoardFrame>
</template>

<style scoped>
.words {
  width: 27%;
  text-align: left;
  white-space: normal;
  vertical-align: top;
}
.words svg {
  vertical-align: -2px;
}
.quiet {
  color: var(--scribe-dim);
  font-size: 13px;
}
h3 {
  font-size: 16px;
  color: #fff;
  margin-top: 10px;
}
ul {
  margin: 4px 0 0;
  padding-left: 18px;
  color: var(--scribe);
}
</style>
