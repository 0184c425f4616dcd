<script setup lang="ts">
import type { BeltLimits } from '~~/core/belt/beltLimits'
import type { BeltFields } from '~~/shared/register/beltMachine'
import { BELT_TIERS, beltTiers, type BeltQuantity } from '~~/shared/beltLimits/tiers'
import { degrees, gapFigure } from '~~/shared/wording/figures'
import { percent } from '~~/shared/wording/forces'
import { beltLimitWords } from '~~/shared/wording/viewWords'

/** What a drive's own figures, the works and the starting values say of it, and which one rules each quantity. */
const props = defineProps<{ machine: BeltFields; limits: readonly BeltLimits[] }>()
const session = useSession()
const w = beltLimitWords
type Value = number | readonly [number, number] | null
const said = (quantity: BeltQuantity, value: Value): string => {
  if (value === null) return w.nothing
  if (typeof value !== 'number') return value.join(' – ')
  switch (quantity) {
    case 'offset':
    case 'gauge':
      return gapFigure(value, { units: session.units }, true)
    case 'angle':
    case 'tilt':
      return degrees(value)
    case 'spread':
      return percent(value)
    case 'fitting':
    case 'takeUp':
      return w.ofLength(`${String(Number((100 * value).toPrecision(3)))} %`)
    default:
      return String(value)
  }
}
const rows = computed(() =>
  beltTiers(props.machine, props.limits).map((r) => ({
    quantity: r.quantity,
    cells: BELT_TIERS.map((tier) => ({
      tier,
      says: said(r.quantity, r.cells[tier]),
      none: r.cells[tier] === null,
      wins: r.wins === tier,
      behind: BELT_TIERS.indexOf(tier) > BELT_TIERS.indexOf(r.wins),
    })),
  })),
)
</script>

<template>
  <table class="tiers">
    <thead>
      <tr>
        <th scope="col">
          <span class="visually-hidden">{{ w.columns.says }}</span>
        </th>
        <th v-for="(tier, i) in BELT_TIERS" :key="tier" scope="col">
          <b>{{ i + 1 }}</b> {{ w.tiers[tier] }}
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="r in rows" :key="r.quantity">
        <th scope="row">{{ w.quantities[r.quantity] }}</th>
        <td v-for="c in r.cells" :key="c.tier" :class="{ wins: c.wins, behind: c.behind || c.none }">
          <span :class="{ figure: !c.none }">{{ c.says }}</span>
          <em v-if="c.wins">{{ w.rules }}</em>
          <span v-else-if="c.behind" class="visually-hidden">{{ w.behind }}</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.tiers {
  width: 100%;
  border-collapse: separate;
  border-spacing: 8px 4px;
  table-layout: fixed;
}
th {
  text-align: left;
  font-weight: 400;
  font-size: 15px;
  color: #fff;
}
thead th {
  font-size: 14px;
  color: var(--scribe);
}
b {
  display: inline-block;
  min-width: 22px;
  border: 1px solid var(--scribe-dim);
  border-radius: 11px;
  text-align: center;
  color: #fff;
  font-weight: 400;
}
td {
  padding: 3px 10px;
  border: 1px dashed var(--dye-line);
  border-radius: 4px;
  color: var(--scribe);
}
td.wins {
  border: 2px solid var(--brass-on-dye);
  color: #fff;
}
td.wins .figure {
  font-weight: 700;
}
td.behind {
  color: var(--scribe-dim);
}
em {
  float: right;
  font-style: normal;
  font-size: 13px;
  color: var(--brass-on-dye);
}
@media (max-width: 640px) {
  .tiers {
    border-spacing: 3px;
  }
  th {
    font-size: 13px;
  }
  td {
    padding: 3px 5px;
    font-size: 14px;
  }
  em {
    display: none;
  }
}
</style>
