<script setup lang="ts">
import { SIDES, type Side } from '~~/core/plan/movePlan'
import type { PairPacks } from '~~/core/register/machine'
import { pack, thickness } from '~~/shared/wording/figures'
import type { MoveForm } from '~/composables/useMoveForm'

/** The feet from above: each with its pack to scale, what the plan wants there, and what was done. */
const props = defineProps<{
  packs: readonly PairPacks[]
  planned: Readonly<
    Record<string, { readonly takeOut: readonly number[]; readonly putIn: readonly number[] }>
  >
  form: MoveForm
  fault: (key: string) => string
  locked: boolean
  movableName: string
}>()
const emit = defineEmits<{ enter: []; 'update:shims': [way: 'out' | 'in', key: string, text: string] }>()
const typed = (event: Event) => (event.target as HTMLInputElement).value
const session = useSession()
const NAMES: Record<string, string> = { inboard: 'Inboard', outboard: 'Outboard' }
const key = (pair: string, side: Side) => `${pair}-${side}`
const packOf = (pair: string, side: Side) => props.packs.find((p) => p.id === pair)?.packs[side] ?? []
const plan = (pair: string, side: Side) => props.planned[key(pair, side)]
const wanted = (pair: string, side: Side) => {
  const p = plan(pair, side)
  if (!p) return 'leave as it is'
  const parts = []
  if (p.takeOut.length) parts.push(`take out ${pack(p.takeOut, session.units)}`)
  if (p.putIn.length) parts.push(`put in ${pack(p.putIn, session.units)}`)
  return parts.join(', ')
}
/** Leaf heights to one scale over all feet, so that packs can be compared by eye. */
const tallest = computed(() =>
  Math.max(
    0.5,
    ...props.packs.flatMap((p) =>
      SIDES.map((s) => [...p.packs[s], ...(plan(p.id, s)?.putIn ?? [])].reduce((a, t) => a + t, 0)),
    ),
  ),
)
const leaves = (pair: string, side: Side) => {
  const p = plan(pair, side)
  const out = [...(p?.takeOut ?? [])]
  const rows = packOf(pair, side).map((t) => {
    const i = out.findIndex((o) => Math.abs(o - t) < 1e-6)
    if (i >= 0) out.splice(i, 1)
    return { t, kind: i >= 0 ? 'out' : 'stays' }
  })
  const all = [...rows, ...(p?.putIn ?? []).map((t) => ({ t, kind: 'in' }))]
  let y = 78
  return all.map((leaf) => {
    const h = Math.max(5, (leaf.t / tallest.value) * 62)
    y -= h
    return { ...leaf, y, h: h - 1.5 }
  })
}
</script>

<template>
  <div class="map">
    <p class="way">outboard end · left and right as seen from behind the {{ movableName.toLowerCase() }}</p>
    <template v-for="pair in ['outboard', 'inboard']" :key="pair">
      <fieldset v-for="side in SIDES" :key="side" :disabled="locked">
        <legend>{{ NAMES[pair] }} {{ side }}</legend>
        <svg viewBox="0 0 96 84" aria-hidden="true">
          <path d="M4 80h88" stroke="#8F9AD6" stroke-width="2" />
          <g v-for="(leaf, i) in leaves(pair, side)" :key="i">
            <rect
              x="14"
              :y="leaf.y"
              width="68"
              :height="leaf.h"
              :fill="leaf.kind === 'in' ? '#E0B04A' : leaf.kind === 'out' ? 'none' : '#A3AEE0'"
              :stroke="leaf.kind === 'out' ? '#FF8FA3' : 'none'"
              :stroke-dasharray="leaf.kind === 'out' ? '4 3' : undefined"
            />
          </g>
        </svg>
        <p class="figure now">now {{ pack(packOf(pair, side), session.units) }}</p>
        <p class="want" :class="{ none: !plan(pair, side) }">{{ wanted(pair, side) }}</p>
        <label>
          Taken out
          <input
            :value="form.out[key(pair, side)] ?? ''"
            class="figure"
            autocomplete="off"
            placeholder="none"
            :aria-invalid="!!fault(`out.${key(pair, side)}`)"
            @input="emit('update:shims', 'out', key(pair, side), typed($event))"
            @keydown.enter.prevent="emit('enter')"
          />
        </label>
        <label>
          Put in
          <input
            :value="form.in[key(pair, side)] ?? ''"
            class="figure"
            autocomplete="off"
            placeholder="none"
            :aria-invalid="!!fault(`in.${key(pair, side)}`)"
            @input="emit('update:shims', 'in', key(pair, side), typed($event))"
            @keydown.enter.prevent="emit('enter')"
          />
        </label>
        <p
          v-if="fault(`out.${key(pair, side)}`) || fault(`in.${key(pair, side)}`)"
          class="fault"
          role="alert"
        >
          {{ fault(`out.${key(pair, side)}`) || fault(`in.${key(pair, side)}`) }}
        </p>
      </fieldset>
    </template>
    <p class="way">coupling end · leaf {{ thickness(tallest, session.units) }} at full height</p>
  </div>
</template>

<style scoped>
.map {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 8px 16px;
}
.way {
  grid-column: 1 / -1;
  text-align: center;
  color: var(--scribe-dim);
  font-size: 14px;
}
fieldset {
  border: 1px solid var(--dye-line);
  border-radius: 4px;
  margin: 0;
  padding: 4px 14px 10px;
  display: grid;
  grid-template-columns: 96px 1fr 1fr;
  grid-template-rows: auto auto auto;
  gap: 2px 14px;
  min-width: 0;
}
legend {
  color: #fff;
  padding: 0 6px;
}
svg {
  grid-row: 1 / 4;
  width: 96px;
  align-self: center;
}
.now,
.want {
  grid-column: 2 / 4;
}
.now {
  color: var(--scribe-dim);
}
.want {
  color: var(--brass-on-dye);
  font-weight: 600;
  line-height: 1.3;
}
.want.none {
  color: var(--scribe-dim);
  font-weight: 400;
}
label {
  display: grid;
  gap: 2px;
  font-size: 14px;
  color: var(--scribe-dim);
}
input {
  min-width: 0;
  width: 100%;
  min-height: var(--touch);
  padding: 4px 10px;
  border: 1px solid var(--scribe-dim);
  border-radius: 4px;
  background: var(--dye-deep);
  color: #fff;
  font-size: 17px;
}
input::placeholder {
  color: var(--scribe-dim);
}
input[aria-invalid='true'] {
  border: 2px solid var(--out-on-dye);
}
.fault {
  grid-column: 1 / -1;
  color: var(--out-on-dye);
  font-size: 14px;
}
</style>
