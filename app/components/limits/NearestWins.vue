<script setup lang="ts">
import { limitsWords } from '~~/shared/wording/en'
import { limitSetWords } from '~~/shared/wording/viewWords'
import { TIERS, limitTiers, type TierCell } from '~~/shared/limits/nearest'
import type { LimitSet } from '~~/core/judge/limitSets'
import type { CoupledFields } from '~~/shared/register/coupledMachine'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'

/** What each tier says of one machine, from the machine itself outward, and which one rules each quantity. */
const props = defineProps<{ machine: CoupledFields; sets: readonly LimitSet[] }>()
const session = useSession()
const telling = useTelling()
const w = limitSetWords
const rows = computed(() => limitTiers(props.machine, props.sets, props.machine.rpm))
const kindOf = (quantity: string) =>
  (quantity === 'offset' ? 'displacement' : 'slope') as 'displacement' | 'slope'
const value = (cell: TierCell, quantity: string) => figure(cell.value, kindOf(quantity), session.units)
/** Which table, and which of its rows. */
const under = (cell: TierCell) => {
  if (cell.value === null) return w.nothing
  if (!cell.set) return ''
  return cell.upTo === null ? w.everySpeed : w.row(String(cell.upTo))
}
const names = computed(() => {
  const of = (tier: 'coupling' | 'works') => {
    const set = rows.value[0]?.cells.find((c) => c.tier === tier)?.set
    return set ? limitsWords(telling.value.words).revision(set.name, set.revision) : ''
  }
  return { machine: '', coupling: of('coupling'), works: of('works'), starter: '' }
})
const behind = (cells: readonly TierCell[], at: number) => cells.findIndex((c) => c.wins) < at
</script>

<template>
  <p v-if="rows.length === 0" class="own">{{ w.window }}</p>
  <div v-else class="tiers" role="table" :aria-label="w.nearest">
    <div class="row head" role="row">
      <span role="columnheader" class="at">{{
        machine.tolerance.form === 'speed-rule'
          ? w.at(machine.rpm, w.grades[machine.tolerance.grade])
          : w.atOwn(machine.rpm)
      }}</span>
      <span v-for="(tier, i) in TIERS" :key="tier" role="columnheader" class="tier">
        <b>{{ i + 1 }}</b> {{ w.tiers[tier] }}
        <small v-if="names[tier]">{{ names[tier] }}</small>
        <small v-else-if="tier === 'coupling'">{{ machine.couplingKind }}</small>
      </span>
    </div>
    <div v-for="r in rows" :key="r.quantity" class="row" role="row">
      <span role="rowheader" class="quantity"
        >{{ w.quantities[r.quantity]
        }}<small>{{ UNIT_NAMES[session.units][kindOf(r.quantity)] }}</small></span
      >
      <span
        v-for="(c, i) in r.cells"
        :key="c.tier"
        role="cell"
        class="cell"
        :class="{ wins: c.wins, behind: behind(r.cells, i) }"
      >
        <span class="figure">{{ value(c, r.quantity) }}</span>
        <small>{{ under(c) }}</small>
        <em v-if="c.wins">{{ w.rules }}</em>
        <span v-else-if="behind(r.cells, i)" class="visually-hidden">{{ w.behind }}</span>
      </span>
    </div>
  </div>
</template>

<style scoped>
.tiers {
  display: grid;
  gap: 8px;
}
.row {
  display: grid;
  grid-template-columns: minmax(110px, 1fr) repeat(4, minmax(0, 1.15fr));
  gap: 8px;
  align-items: stretch;
}
.own,
.at,
.tier,
.quantity {
  color: var(--scribe);
  font-size: 14px;
}
.tier b {
  display: inline-block;
  min-width: 22px;
  border: 1px solid var(--scribe-dim);
  border-radius: 11px;
  text-align: center;
  color: #fff;
}
small {
  display: block;
  color: var(--scribe-dim);
  font-size: 13px;
  line-height: 1.3;
}
.quantity {
  align-self: center;
  color: #fff;
  font-size: 15px;
}
.cell {
  position: relative;
  display: grid;
  align-content: center;
  min-height: 66px;
  padding: 6px 10px;
  border: 1px dashed var(--dye-line);
  border-radius: 4px;
  color: var(--scribe);
}
.cell .figure {
  font-size: 20px;
}
.cell em {
  position: absolute;
  top: 6px;
  right: 10px;
  font-style: normal;
  font-size: 13px;
  color: var(--brass-on-dye);
}
.wins {
  border: 2px solid var(--brass-on-dye);
}
.wins .figure {
  color: #fff;
  font-weight: 700;
}
.behind .figure {
  color: var(--scribe-dim);
}
@media (max-width: 640px) {
  .row {
    grid-template-columns: 1fr 1fr;
  }
  .at,
  .quantity {
    grid-column: 1 / -1;
  }
}
</style>
