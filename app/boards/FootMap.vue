<script setup lang="ts">
import { drawingsWords, feetWords } from '~~/shared/wording/en'
import { keyOfPair, SIDES, type MachineRole, type Side } from '~~/core/plan/pairNames'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { footKey } from '~~/shared/stages/move/form'
import { fromFarEnd } from '~~/shared/stages/plan/packs'
import { pack, thickness } from '~~/shared/wording/figures'

interface Pair {
  readonly machine: MachineRole
  readonly id: string
  /** As it is called, capitalised. */
  readonly name: string
  readonly packs: Readonly<Record<Side, readonly number[]>>
  /** What the plan wants under each foot. */
  readonly planned: Readonly<
    Record<Side, { readonly takeOut: readonly number[]; readonly putIn: readonly number[] } | null>
  >
}

/**
 * The feet from above, as the observer stands: behind the far end, looking at the coupling, which is
 * at the top; left is left. Each with its pack to scale, what the plan wants there, and what was done.
 */
const props = defineProps<{
  /** Of each machine, from the coupling outward. */
  pairs: readonly Pair[]
  out: Readonly<Record<string, string>>
  in: Readonly<Record<string, string>>
  faults: Readonly<Record<string, string>>
  locked: boolean
  movableName: string
  farName: string
  units: UnitSystem
}>()
const emit = defineEmits<{ enter: []; 'update:shims': [way: 'out' | 'in', key: string, text: string] }>()
const words = useWords()
const w = drawingsWords(words)
const { sides } = feetWords(words)
const key = (pair: Pair, side: Side) => footKey(pair.id, side, pair.machine)
const wanted = (pair: Pair, side: Side) => {
  const p = pair.planned[side]
  if (!p || p.takeOut.length + p.putIn.length === 0) return ''
  const parts = []
  if (p.takeOut.length) parts.push(w.takeOut(pack(p.takeOut, props.units)))
  if (p.putIn.length) parts.push(w.putIn(pack(p.putIn, props.units)))
  return parts.join(', ')
}
const otherEnd = useOtherEnd()
const seen = useRowsSeen()
const rows = computed(() => seen(fromFarEnd(props.pairs)))
const driven = computed(() => props.pairs.some((p) => p.machine === 'stationary'))
const sidesSeen = seen(SIDES)
/** Leaf heights to one scale over all feet, so that packs can be compared by eye. */
const tallest = computed(() =>
  Math.max(
    0.5,
    ...props.pairs.flatMap((p) =>
      SIDES.map((s) => [...p.packs[s], ...(p.planned[s]?.putIn ?? [])].reduce((a, t) => a + t, 0)),
    ),
  ),
)
const fault = (pair: Pair, side: Side) =>
  props.faults[`out.${key(pair, side)}`] ?? props.faults[`in.${key(pair, side)}`] ?? ''
</script>

<template>
  <div class="map">
    <p class="way">
      {{
        otherEnd
          ? w.fromOtherEnd.top(farName, thickness(tallest, units))
          : (driven ? w.bothMachines : w.tallestPack)(thickness(tallest, units))
      }}
    </p>
    <template v-for="pair in rows" :key="keyOfPair(pair)">
      <div
        v-for="side in sidesSeen"
        :key="side"
        class="foot"
        role="group"
        :aria-label="w.foot(pair.name, sides[side])"
      >
        <h3>{{ w.foot(pair.name, sides[side]) }}</h3>
        <LeafStack
          class="stack"
          :pack="pair.packs[side]"
          :put-in="pair.planned[side]?.putIn ?? []"
          :taken-out="pair.planned[side]?.takeOut ?? []"
          :tallest="tallest"
        />
        <p class="figure now">{{ w.packNow(pack(pair.packs[side], units)) }}</p>
        <p class="want">{{ wanted(pair, side) }}</p>
        <NumberBox
          v-for="way in ['out', 'in'] as const"
          :key="way"
          :model-value="(way === 'out' ? props.out : props.in)[key(pair, side)] ?? ''"
          :label="way === 'out' ? w.takenOut : w.wasPutIn"
          measure="displacement"
          :units="units"
          list
          big
          on-dye
          :placeholder="w.none"
          :disabled="locked"
          @update:model-value="emit('update:shims', way, key(pair, side), $event)"
          @enter="emit('enter')"
        />
        <p v-if="fault(pair, side)" class="fault" role="alert">{{ fault(pair, side) }}</p>
      </div>
    </template>
    <p class="way">
      {{ otherEnd ? w.fromOtherEnd.bottom : w.youStandHere(farName, movableName.toLowerCase()) }}
    </p>
  </div>
</template>

<style scoped>
.map {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 8px 14px;
  container-type: inline-size;
}
.way {
  grid-column: 1 / -1;
  text-align: center;
  color: var(--scribe-dim);
  font-size: 14px;
}
.foot {
  position: relative;
  border: 1px solid var(--dye-line);
  border-radius: 4px;
  padding: 8px 12px 10px;
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr) minmax(0, 1fr);
  gap: 0 10px;
  align-items: end;
  min-width: 0;
}
.foot h3 {
  grid-column: 2 / 4;
  font-size: 15px;
  font-weight: 400;
  color: #fff;
}
.stack {
  grid-column: 1;
  grid-row: 1 / 5;
  width: 84px;
  align-self: center;
}
.now,
.want {
  grid-column: 2 / 4;
  font-size: 14px;
}
.now {
  color: var(--scribe-dim);
}
.want {
  color: var(--brass-on-dye);
  font-weight: 600;
  min-height: 20px;
  line-height: 20px;
}
.foot :deep(label) {
  color: var(--scribe-dim);
  margin-bottom: 1px;
}
.foot :deep(.el-input__inner) {
  font-size: 16px;
}
.fault {
  grid-column: 1 / -1;
  color: var(--out-on-dye);
  font-size: 14px;
}
@media (max-width: 1000px) and (min-width: 861px), (max-width: 640px) {
  .foot {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
  .foot .stack {
    display: none;
  }
  .now,
  .want,
  h3 {
    grid-column: 1 / -1;
  }
}
@media (max-width: 640px) {
  .map {
    gap: 8px;
  }
  .foot {
    padding: 8px;
    grid-template-columns: minmax(0, 1fr);
  }
}
@container (max-width: 600px) {
  .foot {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
  .foot .stack {
    width: 62px;
    grid-row: 1 / 4;
  }
  .foot h3,
  .foot .now,
  .foot .want {
    grid-column: 2;
  }
}
@container (max-width: 400px) {
  .foot .stack {
    display: none;
  }
  .foot > * {
    grid-column: 1 / -1 !important;
  }
}
</style>
