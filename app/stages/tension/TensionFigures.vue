<script setup lang="ts">
import type { BeltState } from '~~/core/jobs/belt'
import type { TensionRead } from '~~/core/stages/tension/tension'
import { tablesWords, tensionWords } from '~~/shared/wording/en'
import { gapFigure } from '~~/shared/wording/figures'
import { forceFigure, hertzFigure, percent } from '~~/shared/wording/forces'
import { bandSourceWords } from '~~/shared/wording/tension'

/** The set in figures: mean against band, spread, the same tension by the other schools, the pull on the shaft. */
const props = defineProps<{ read: TensionRead; state: BeltState }>()
const session = useSession()
const telling = useTelling()
const v = computed(() => tensionWords(telling.value.words).view)
const t = computed(() => tablesWords(telling.value.words))
const f = (x: number) => forceFigure(x, session.units, true)
const rows = computed(() => {
  const { mean, band, belts, spread, spreadLimit, unmatched, same, pull } = props.read
  return [
    ...(mean === null
      ? []
      : [
          {
            name: belts.length > 1 ? v.value.mean : v.value.aBelt,
            verdict: band ? (props.read.leans === 'in' ? ('in' as const) : ('out' as const)) : null,
            found: f(mean),
            limit: band
              ? `${forceFigure(band.tension[0], session.units)}–${forceFigure(band.tension[1], session.units)}`
              : '–',
          },
        ]),
    ...(belts.length > 1
      ? [
          {
            name: v.value.spread,
            verdict: unmatched ? ('out' as const) : ('in' as const),
            found: percent(spread),
            limit: percent(spreadLimit),
          },
        ]
      : []),
    ...(same
      ? [
          {
            name: v.value.bySpring(gapFigure(same.deflection, telling.value, true)),
            verdict: null,
            found: f(same.force),
            limit: '',
          },
          ...(same.frequency === null
            ? []
            : [{ name: v.value.byTap, verdict: null, found: hertzFigure(same.frequency), limit: '' }]),
          ...(same.strain === null
            ? []
            : [
                {
                  name: v.value.byMarks,
                  verdict: null,
                  found: gapFigure(same.strain * 1000, telling.value, true),
                  limit: '',
                },
              ]),
        ]
      : []),
    ...(pull
      ? [
          {
            name: v.value.pull,
            verdict: pull.verdict,
            found: f(pull.atRest),
            limit: pull.limit === null ? '–' : forceFigure(pull.limit, session.units),
          },
        ]
      : []),
  ]
})
</script>

<template>
  <div>
    <FigureTable :head="['', t.found, t.limit]">
      <tr v-for="r in rows" :key="r.name">
        <td>{{ r.name }}</td>
        <td class="figure"><VerdictMark v-if="r.verdict" :mark="r.verdict" /> {{ r.found }}</td>
        <td class="figure">{{ r.limit }}</td>
      </tr>
    </FigureTable>
    <h3>{{ v.bandFrom }}</h3>
    <p class="muted">{{ bandSourceWords(read, state, telling) }}</p>
    <el-collapse v-if="read.same">
      <el-collapse-item :title="v.why" name="why">
        <p class="muted">{{ v.differ }}</p>
      </el-collapse-item>
    </el-collapse>
  </div>
</template>

<style scoped>
h3 {
  font-size: 15px;
  margin-top: 8px;
}
</style>
