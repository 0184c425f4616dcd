<script setup lang="ts">
import { limitsWords, pagesWords } from '~~/shared/wording/en'
import { setsFor, type LimitSet } from '~~/core/judge/limitSets'
import { judgedQuantities } from '~~/core/judge/quantities'
import { settleTolerance } from '~~/core/judge/tolerance'
import { toleranceToCore } from '~~/core/judge/toleranceUnits'
import type { CoupledFields } from '~~/shared/register/coupledMachine'
import type { DrumFields } from '~~/shared/register/drumMachine'
import type { FlangeFields } from '~~/shared/register/flangeMachine'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { limitWords, quantityName } from '~~/shared/wording/quantities'
import { tellingOf } from '~~/shared/wording/telling'
import { toleranceSource } from '~~/shared/wording/tolerances'

/** What a machine that is measured at its coupling is judged by. */
const props = defineProps<{
  machine: CoupledFields | FlangeFields | DrumFields
  limitSets: readonly LimitSet[]
  /** The coupling, where a machine has several. */
  name?: string
}>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, props.machine, session.works?.footWords))
/** Tables that it would be judged by today, nearest first. */
const near = computed(() => setsFor(props.machine.couplingKind, props.limitSets))
const limits = computed(() =>
  judgedQuantities(
    settleTolerance(
      toleranceToCore(props.machine.tolerance, props.machine.units),
      props.machine.rpm,
      near.value,
    ),
  ).map((q) => {
    const kind = q.terms[0]?.kind ?? 'displacement'
    const [low, high] = q.terms[0]?.band ?? [null, null]
    return {
      name: quantityName(q.name, telling.value),
      text: `${low !== null && low === -(high ?? 0) ? '±' : ''}${limitWords({ low, high, kind, name: q.terms.length > 1 ? '' : q.name }, telling.value)}`,
      unit: UNIT_NAMES[session.units][kind],
    }
  }),
)
</script>

<template>
  <div class="facts panel">
    <h2 class="title">
      {{ [pagesWords(telling.words).machine.limits, name].filter(Boolean).join(', ') }}
    </h2>
    <FigureTable :head="['', '']">
      <tr v-for="l in limits" :key="l.name">
        <td>{{ l.name }}</td>
        <td class="figure">{{ l.text }} {{ l.unit }}</td>
      </tr>
    </FigureTable>
    <p class="muted">
      {{ toleranceSource(machine.tolerance, machine.rpm, limitsWords(telling.words), near) }}
    </p>
  </div>
</template>

<style scoped>
.facts {
  padding: 4px 18px 16px;
}
h2.title {
  margin: 10px 0 4px;
  font-size: 17px;
}
p {
  margin-top: 8px;
  font-size: 14px;
}
</style>
