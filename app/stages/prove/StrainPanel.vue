<script setup lang="ts">
import { directionsWords, proveWords } from '~~/shared/wording/en'
import type { MeasuredState } from '~~/core/jobs/measured'
import type { Plane, VH } from '~~/core/frame/planes'
import type { ProvedStrain } from '~~/core/stages/prove/checkProof'
import type { NamedLine } from '~~/shared/drawing/lineBundle'
import { hourOf } from '~~/shared/wording/directions'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'
import { quantityName } from '~~/shared/wording/quantities'
import { capital } from '~~/shared/wording/capital'

/** Both lines over one another, their difference against its limit, and what each plan would have been. */
const props = defineProps<{ strain: ProvedStrain; state: MeasuredState }>()
const session = useSession()
const telling = useTelling()
const w = computed(() => proveWords(telling.value.words))
const c = computed(() => w.value.view.columns)
const lines = computed((): readonly NamedLine[] => [
  { look: 'before', name: w.value.view.lines.madeUp, line: props.strain.coupled },
  { look: 'now', name: w.value.view.lines.open, line: props.strain.uncoupled },
])
const PLANES: readonly Plane[] = ['v', 'h']
const d = (x: number | null) => figure(x, 'displacement', session.units, { sign: true })
const feet = computed(() =>
  props.strain.plans.flatMap((p, i) =>
    PLANES.map((plane) => ({
      key: `${p.id}.${plane}`,
      name: `${capital(telling.value.footNames(p.id))}, ${directionsWords(telling.value.words).planes[plane]}`,
      open: d(p.uncoupled[plane]),
      made: d(p.coupled[plane]),
      wrong: d((props.strain.feet[i]?.moveError as VH)[plane]),
    })),
  ),
)
</script>

<template>
  <LineBundle
    class="lines"
    :lines="lines"
    :feet="'feet' in state ? state.feet.movable : [{ id: 'flange', x: state.shape.plane }]"
    :tolerance="state.tolerance"
  />
  <div class="tables">
    <FigureTable on-dye :head="[c.quantity, c.difference, c.limit, '']">
      <tr v-for="q in strain.quantities" :key="q.name">
        <td>{{ quantityName(q.name, telling) }}</td>
        <td class="figure">{{ figure(q.value, q.kind, session.units, { sign: true }) }}</td>
        <td class="figure">{{ q.limit === null ? '–' : figure(q.limit, q.kind, session.units) }}</td>
        <td class="unit">
          <VerdictMark v-if="q.limit !== null" :mark="q.over ? 'out' : 'in'" on-dye />
          {{ UNIT_NAMES[session.units][q.kind] }}
        </td>
      </tr>
    </FigureTable>
    <FigureTable v-if="feet.length > 0" on-dye :head="[c.foot, c.byOpen, c.byMadeUp, c.wrongBy]">
      <tr v-for="f in feet" :key="f.key">
        <td>{{ f.name }}</td>
        <td class="figure">{{ f.open }}</td>
        <td class="figure">{{ f.made }}</td>
        <td class="figure">{{ f.wrong }}</td>
      </tr>
    </FigureTable>
  </div>
  <p class="quiet">{{ w.limit }} {{ w.signs(hourOf(1, telling)) }}</p>
</template>

<style scoped>
.lines {
  margin-top: 14px;
}
.tables {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 28px;
  margin-top: 12px;
}
.unit,
.quiet {
  color: var(--scribe-dim);
  font-size: 14px;
}
.unit {
  white-space: nowrap;
}
.quiet {
  margin-top: 10px;
}
@media (max-width: 900px) {
  .tables {
    grid-template-columns: 1fr;
  }
}
</style>
