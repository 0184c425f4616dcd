<script setup lang="ts">
import { drawingsWords, feetWords, plansWords } from '~~/shared/wording/en'
import { pairKey, type MachineRole } from '~~/core/plan/pairNames'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { fromFarEnd, type PlannedPack } from '~~/shared/stages/plan/packs'
import { thickness } from '~~/shared/wording/figures'

/** Every foot from above as the observer stands, its leaves bottom up as the plan leaves them: what stays, goes in, comes out. */
const props = defineProps<{
  packs: readonly PlannedPack[]
  footName: (pair: { readonly machine: MachineRole; readonly id: string }) => string
  movableName: string
  farName: string
  units: UnitSystem
}>()
const words = useWords()
const w = drawingsWords(words)
const feet = feetWords(words)
const plans = plansWords(words)
const p = plans.packs
const otherEnd = useOtherEnd()
const seen = useRowsSeen()
const sidesSeen = seen(['left', 'right'] as const)
const rows = computed(() =>
  seen(fromFarEnd(props.packs.filter((k) => k.side === 'left'))).map((left) => ({
    key: pairKey(left.pair, left.machine),
    name: props.footName({ machine: left.machine, id: left.pair }),
    feet: sidesSeen.map((side) =>
      props.packs.find((k) => k.machine === left.machine && k.pair === left.pair && k.side === side)!,
    ),
  })),
)
const driven = computed(() => props.packs.some((k) => k.machine === 'stationary'))
const sum = (list: readonly number[]) => list.reduce((s, t) => s + t, 0)
const tallest = computed(() =>
  Math.max(0.5, ...props.packs.map((k) => Math.max(sum(k.now), sum(k.now) + sum(k.putIn)))),
)
const t = (x: number) => thickness(x, props.units)
</script>

<template>
  <div class="packs">
    <p class="way">
      {{
        otherEnd
          ? w.fromOtherEnd.top(farName, t(tallest))
          : (driven ? w.bothMachines : w.tallestPack)(t(tallest))
      }}
    </p>
    <template v-for="row in rows" :key="row.key">
      <section v-for="k in row.feet" :key="k.side" :aria-label="w.foot(row.name, feet.sides[k.side])">
        <h3>{{ w.foot(row.name, feet.sides[k.side]) }}</h3>
        <div class="foot">
          <LeafStack :pack="k.now" :put-in="k.putIn" :taken-out="k.takeOut" :tallest="tallest" />
          <ol reversed :start="k.leaves.length">
            <li v-for="(leaf, i) in [...k.leaves].reverse()" :key="i" :class="{ fresh: leaf.fresh }">
              <span class="figure">{{ t(leaf.thickness) }}</span> {{ leaf.fresh ? p.in : '' }}
            </li>
            <li v-if="k.leaves.length === 0" class="bare">{{ p.bare }}</li>
          </ol>
        </div>
        <p v-if="k.takeOut.length" class="out">{{ p.out(k.takeOut.map(t).join(' + ')) }}</p>
        <p v-else-if="!k.putIn.length" class="bare">{{ p.stays }}</p>
      </section>
    </template>
    <p class="way">
      {{ otherEnd ? w.fromOtherEnd.bottom : w.youStandHere(farName, movableName) }}
    </p>
  </div>
</template>

<style scoped>
.packs {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 12px 24px;
}
.way {
  grid-column: 1 / -1;
  color: var(--scribe-dim);
  font-size: 14px;
  text-align: center;
}
h3 {
  font-size: 16px;
  color: #fff;
}
.foot {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr);
  gap: 14px;
  align-items: center;
}
.foot svg {
  width: 130px;
  height: 116px;
}
ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  color: var(--scribe);
  font-size: 16px;
  line-height: 1.5;
}
.fresh {
  color: var(--brass-on-dye);
}
.out {
  color: var(--brass-on-dye);
  font-size: 15px;
}
.bare {
  color: var(--scribe-dim);
  font-size: 14px;
}
@media (max-width: 640px) {
  .foot {
    grid-template-columns: 80px minmax(0, 1fr);
  }
  .foot svg {
    width: 80px;
  }
}
</style>
