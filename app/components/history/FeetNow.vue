<script setup lang="ts">
import { feetWords } from '~~/shared/wording/en'
import { historyWords } from '~~/shared/wording/viewWords'
import { SIDES } from '~~/core/plan/pairNames'
import { toCore } from '~~/core/units/unitSystem'
import type { CoupledFields } from '~~/shared/register/coupledMachine'
import type { DrumFields } from '~~/shared/register/drumMachine'
import { pack, thickness } from '~~/shared/wording/figures'
import { capital } from '~~/shared/wording/capital'
import { tellingOf } from '~~/shared/wording/telling'

/** What lies under each foot by the register, leaf by leaf, the coupling end above. */
const props = defineProps<{ machine: CoupledFields | DrumFields; packLimit: number }>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, props.machine, session.works?.footWords))
const feet = computed(() => feetWords(telling.value.words))
const mm = (t: number) => toCore(t, 'displacement', props.machine.units)
const sum = (leaves: readonly number[]) => leaves.reduce((a, b) => a + b, 0)
const rows = computed(() =>
  props.machine.feet.movable.map((f) => ({
    id: f.id,
    name: capital(telling.value.footNames(f.id)),
    feet: SIDES.map((side) => {
      const leaves = f.existing[side].map(mm)
      return {
        side,
        leaves,
        total: leaves.length === 0 ? historyWords.bare : thickness(sum(leaves), session.units),
        list: leaves.length > 1 ? pack(leaves, session.units) : '',
        tooMany: leaves.length > props.packLimit,
      }
    }),
  })),
)
const tallest = computed(() => Math.max(0.5, ...rows.value.flatMap((r) => r.feet.map((f) => sum(f.leaves)))))
const faults = computed(() =>
  rows.value.flatMap((r) =>
    r.feet
      .filter((f) => f.tooMany)
      .map((f) =>
        historyWords.tooMany(
          f.leaves.length,
          `${r.name.toLowerCase()} ${feet.value.sides[f.side]}`,
          props.packLimit,
        ),
      ),
  ),
)
</script>

<template>
  <section class="feet" :aria-label="historyWords.under">
    <h2 class="title">{{ historyWords.under }}</h2>
    <div class="map">
      <span />
      <span v-for="s in SIDES" :key="s" class="side">{{ feet.sides[s] }}</span>
      <template v-for="r in rows" :key="r.id">
        <span class="pair">{{ r.name }}</span>
        <div v-for="f in r.feet" :key="f.side" class="foot" :class="{ many: f.tooMany }">
          <LeafStack class="stack" :pack="f.leaves" :put-in="[]" :taken-out="[]" :tallest="tallest" />
          <span class="figure total">{{ f.total }}</span>
          <span class="figure list">{{ f.list }}</span>
        </div>
      </template>
    </div>
    <p v-for="fault in faults" :key="fault" class="fault">
      <VerdictMark mark="edge" on-dye silent /> {{ fault }}
    </p>
  </section>
</template>

<style scoped>
.feet {
  min-width: 0;
}
h2.title {
  margin: 0;
  color: #fff;
  font-size: 17px;
}
.map {
  display: grid;
  grid-template-columns: auto 1fr 1fr;
  gap: 4px 12px;
  align-items: center;
  margin-top: 6px;
}
.side {
  text-align: center;
  color: var(--scribe-dim);
  font-size: 14px;
}
.pair {
  color: var(--scribe-dim);
  font-size: 14px;
}
.foot {
  display: grid;
  grid-template-columns: minmax(40px, 76px) 1fr;
  align-items: end;
  column-gap: 6px;
}
.stack {
  width: 100%;
  height: 54px;
}
.total {
  font-size: 18px;
  font-weight: 600;
  color: #fff;
}
.list {
  grid-column: 1 / -1;
  min-height: 18px;
  font-size: 13px;
  color: var(--scribe);
}
.many .total,
.many .list {
  color: var(--brass-on-dye);
}
.fault {
  margin-top: 6px;
  font-size: 14px;
  color: var(--edge-on-dye);
}
</style>
