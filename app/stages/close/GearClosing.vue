<script setup lang="ts">
import { backlashWindow } from '~~/core/register/gearMachine'
import { gearRegisterChanges } from '~~/core/stages/close/gearRegister'
import type { GearState } from '~~/core/jobs/gear'
import { backlashWords, closingWords, tablesWords, gearWords } from '~~/shared/wording/en'
import { capital } from '~~/shared/wording/capital'
import { windowFigures } from '~~/shared/wording/backlash'
import { figure } from '~~/shared/wording/figures'
import { contactLimit, percentFigure } from '~~/shared/wording/gearContact'
import { gearRegisterWords } from '~~/shared/wording/gearRegister'
import IntoRegister from './IntoRegister.vue'
/** The paint of both runs as found against as left, the backlash, and what the register takes over. */
const props = defineProps<{ state: GearState }>()
const session = useSession()
const telling = useTelling()
const c = computed(() => closingWords(telling.value.words))
const t = computed(() => tablesWords(telling.value.words))
const w = computed(() => gearWords(telling.value.words))
const left = computed(() => props.state.contact.left)
/** A row a quantity, a cell a run: as found, as left. */
const rows = computed(() => {
  const now = left.value?.figures?.quantities ?? []
  const found = props.state.contact.asFound?.figures?.quantities ?? []
  return (['off', 'length', 'covered', 'edge'] as const).flatMap((quantity) => {
    const own = now.filter((q) => q.quantity === quantity)
    const [first] = own
    return first
      ? [
          {
            quantity,
            limit: contactLimit(first),
            cells: own.map((q) => {
              const before = found.find((b) => b.name === q.name)
              return { run: q.run, now: value(q), before: before ? value(before) : '', verdict: q.verdict }
            }),
          },
        ]
      : []
  })
})
const backlash = computed(() => props.state.backlash.left)
const taken = computed(() =>
  gearRegisterWords(gearRegisterChanges(props.state), props.state.machine, telling.value),
)
const value = (q: { readonly quantity: string; readonly value: number }) =>
  percentFigure(q.value, q.quantity === 'off')
</script>

<template>
  <BoardFrame :title="w.view.closing" :note="w.view.changesBetween(state.rounds.length - 1)" scrolls>
    <TwoFlanks
      v-if="left"
      class="flanks"
      :zones="left.zones"
      :wanted="state.contact.wanted?.zones ?? null"
      :ends="state.machine.gear.ends"
      :verdicts="left.figures?.runs ?? null"
      :units="session.units"
      read-only
    />
    <p v-else class="quiet">{{ c.view.nothingStands }}</p>
    <FigureTable
      v-if="rows.length || backlash"
      on-dye
      :head="['%', capital(w.run.forward), capital(w.run.back), t.limit]"
    >
      <tr v-for="r in rows" :key="r.quantity">
        <td>{{ w.closingRows[r.quantity] }}</td>
        <td v-for="x in r.cells" :key="x.run" class="figure">
          <span v-if="x.before" class="quiet">{{ w.view.fromTo(x.before) }}</span>
          <VerdictMark :mark="x.verdict" on-dye /> {{ x.now }}
        </td>
        <td class="figure">{{ r.limit }}</td>
      </tr>
      <tr v-if="backlash">
        <td>{{ backlashWords(telling.words).view.title }}</td>
        <td class="figure" colspan="2">
          <VerdictMark :mark="backlash.verdict" on-dye />
          {{ figure(backlash.worst, 'displacement', session.units, { unit: true }) }}
        </td>
        <td class="figure">{{ windowFigures(backlashWindow(state.machine), telling) }}</td>
      </tr>
    </FigureTable>
    <IntoRegister :lines="taken" :signed="state.closing !== null" />
  </BoardFrame>
</template>

<style scoped>
.flanks {
  margin-bottom: 10px;
}
.quiet {
  color: var(--scribe-dim);
}
@media (max-width: 640px) {
  td .quiet {
    display: block;
  }
}
</style>
