<script setup lang="ts">
import type { FootName } from '~~/core/feet/softFoot'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { CORNERS, cornerKey, type Corner } from '~~/shared/stages/feet/form'
import { figure, pack } from '~~/shared/wording/figures'

/** One foot as it is drawn: its box, its pack to scale, what goes in, what the round before read. */
export interface DrawnFoot {
  readonly key: string
  /** f1 to f4; empty for a foot between the outer pairs. */
  readonly name: FootName | ''
  readonly place: string
  readonly left: boolean
  /** Its place in the criss-cross, from 0. */
  readonly order: number
  readonly pack: readonly number[]
  readonly putIn: readonly number[]
  readonly takenOut: readonly number[]
  readonly rise: number | null
  readonly before: number | null
  readonly mark: 'in' | 'edge' | 'out' | null
  /** The widest gap felt here with the bolts loose; null where none was. */
  readonly gap: number | null
}

/**
 * The feet from above, as the observer stands: behind the far end, looking at the coupling, which is at the
 * top; left is left. Each foot has its box where it stands, under it its pack and its rise to one scale; the
 * twist stands between the two diagonals.
 */
const props = defineProps<{
  /** Row by row from the coupling end, the left foot before the right one. */
  feet: readonly DrawnFoot[]
  step: 'gaps' | 'rises'
  rises: Readonly<Record<string, string>>
  corners: Readonly<Record<string, string>>
  faults: Readonly<Record<string, string>>
  /** Half of the twist of what stands on the board, and of the round before. Millimetres. */
  twist: number | null
  twistBefore: number | null
  /** Mean rise of each diagonal, for the wedges: f1 and f3, f2 and f4. */
  diagonals: readonly [number, number] | null
  diagonalsBefore: readonly [number, number] | null
  limit: number
  locked: boolean
  stationaryName: string
  farName: string
  units: UnitSystem
}>()
const emit = defineEmits<{
  enter: [key: string]
  'update:rise': [key: string, text: string]
  'update:corner': [key: string, text: string]
}>()
const { softFoot: w, verdicts } = useWords()

const short = (f: DrawnFoot) => f.name || f.place
const d = (x: number) => figure(x, 'displacement', props.units)
const unit = computed(() => (props.units === 'inch' ? 'mil' : 'mm'))
/** The tallest pack with its rise, for the one scale of all. */
const tallest = computed(() =>
  Math.max(
    0.4,
    ...props.feet.map(
      (f) => [...f.pack, ...f.putIn].reduce((s, t) => s + t, 0) + Math.max(f.rise ?? 0, f.before ?? 0),
    ),
  ),
)
const HIGH = 66
const scaled = (t: number) => (t / tallest.value) * HIGH
/** Leaves from the base up: those that stay, those that come out, those that go in. */
const leaves = (f: DrawnFoot) => {
  const out = [...f.takenOut]
  let y = 74
  return [
    ...f.pack.map((t) => {
      const i = out.findIndex((o) => Math.abs(o - t) < 1e-6)
      if (i >= 0) out.splice(i, 1)
      return { t, kind: i >= 0 ? 'out' : 'stays' }
    }),
    ...f.putIn.map((t) => ({ t, kind: 'in' })),
  ].map((leaf) => {
    const h = Math.max(4, scaled(leaf.t))
    y -= h
    return { ...leaf, y, h: h - 1.2 }
  })
}
const topOf = (f: DrawnFoot) => Math.min(74, ...leaves(f).map((l) => l.y))
const lineAt = (f: DrawnFoot, rise: number | null) =>
  rise === null ? null : Math.max(2, topOf({ ...f, putIn: [] }) - scaled(rise))
const colour = { in: '#58D3BE', edge: '#F0C060', out: '#FF8FA3' } as const
const shims = (f: DrawnFoot) =>
  f.putIn.length > 0
    ? w.view.goesIn(pack(f.putIn, props.units))
    : f.takenOut.length > 0
      ? w.view.comesOut(pack(f.takenOut, props.units))
      : ''
const cornersOf = (f: DrawnFoot): readonly Corner[] =>
  f.left ? CORNERS : (['inboardInner', 'inboardOuter', 'outboardInner', 'outboardOuter'] as const)
/** Half a wedge's width at its outer end, in drawing units. */
const wedge = (mean: number, of: readonly [number, number] | null) => {
  const most = Math.max(props.limit, ...(of ?? []), ...(props.diagonals ?? []), 1e-9)
  return 2 + 13 * Math.min(1, mean / most)
}
const wedges = (of: readonly [number, number] | null) => {
  if (!of) return []
  const [a, b] = of
  // From the middle outward to f1, f3 and to f2, f4.
  const at = (x: number, y: number, mean: number) => {
    const half = wedge(mean, props.diagonalsBefore)
    const length = Math.hypot(x, y)
    const [ux, uy] = [x / length, y / length]
    const inner = [100 + ux * 46, 150 + uy * 46]
    const outer = [100 + ux * 112, 150 + uy * 112]
    return {
      over: mean > props.limit,
      points: `${inner[0]},${inner[1]} ${(outer[0] ?? 0) - uy * half},${(outer[1] ?? 0) + ux * half} ${(outer[0] ?? 0) + uy * half},${(outer[1] ?? 0) - ux * half}`,
    }
  }
  return [at(-0.55, -1, a), at(0.55, 1, a), at(0.55, -1, b), at(-0.55, 1, b)]
}
</script>

<template>
  <div class="map" :class="step">
    <p class="way">{{ stationaryName.toLowerCase() }} · {{ w.view.couplingEnd }}</p>
    <svg class="machine" viewBox="0 0 200 300" preserveAspectRatio="xMidYMid meet" aria-hidden="true">
      <path d="M86 0h28v16h-28z M70 16h60v14H70z" class="line" />
      <rect x="18" y="30" width="164" height="240" class="line" />
      <path d="M62 270v16h76v-16" class="line" />
      <path d="M100 40v64M100 198v64" class="axis" />
      <polygon v-for="(x, i) in wedges(diagonalsBefore)" :key="`b${i}`" :points="x.points" class="ghost" />
      <polygon
        v-for="(x, i) in wedges(diagonals)"
        :key="i"
        :points="x.points"
        :class="x.over ? 'over' : 'calm'"
      />
      <template v-if="twist !== null">
        <text x="100" y="150" class="twist" :class="{ over: twist > limit }">{{ d(twist) }}</text>
        <text x="100" y="168" class="small">{{ w.view.twist(unit) }}</text>
        <text v-if="twistBefore !== null" x="100" y="184" class="small dim">
          {{ w.view.twistWas(d(twistBefore)) }}
        </text>
      </template>
    </svg>
    <div
      v-for="f in feet"
      :key="f.key"
      class="foot"
      :class="f.left ? 'left' : 'right'"
      role="group"
      :aria-label="f.name ? w.name(f.name, f.place) : f.place"
    >
      <h3>
        <strong v-if="f.name">{{ f.name }}</strong> {{ f.place }}
        <span class="ordinal">{{ w.view.ordinals[f.order] }}</span>
      </h3>
      <template v-if="step === 'rises'">
        <NumberBox
          :model-value="rises[f.key] ?? ''"
          :label="w.view.rise(short(f))"
          hide-label
          measure="displacement"
          :units="units"
          on-dye
          big
          :disabled="locked"
          :note="faults[f.key] ?? ''"
          :note-is-fault="f.key in faults"
          @update:model-value="emit('update:rise', f.key, $event)"
          @enter="emit('enter', f.key)"
        />
        <p class="mark">
          <template v-if="f.mark"
            ><VerdictMark :mark="f.mark" on-dye />
            <span :style="{ color: colour[f.mark] }">{{ verdicts[f.mark] }}</span></template
          >
          <span v-if="f.before !== null" class="dim figure">{{ w.view.before(d(f.before)) }}</span>
        </p>
      </template>
      <div v-else class="corners">
        <NumberBox
          v-for="c in cornersOf(f)"
          :key="c"
          :model-value="corners[cornerKey(f.key, c)] ?? ''"
          :label="w.view.corner(short(f), w.view.corners[c])"
          hide-label
          measure="displacement"
          :units="units"
          on-dye
          :disabled="locked"
          :note="faults[cornerKey(f.key, c)] ?? ''"
          :note-is-fault="cornerKey(f.key, c) in faults"
          @update:model-value="emit('update:corner', cornerKey(f.key, c), $event)"
          @enter="emit('enter', f.key)"
        />
      </div>
      <div v-if="step === 'rises'" class="pack">
        <svg viewBox="0 0 96 80" preserveAspectRatio="none" aria-hidden="true">
          <path d="M2 76h92" class="base" />
          <rect
            v-for="(leaf, i) in leaves(f)"
            :key="i"
            x="12"
            :y="leaf.y"
            width="72"
            :height="leaf.h"
            :class="`leaf-${leaf.kind}`"
          />
          <path v-if="lineAt(f, f.before) !== null" :d="`M10 ${lineAt(f, f.before)}h76`" class="ghost" />
          <path
            v-if="lineAt(f, f.rise) !== null"
            :d="`M8 ${lineAt(f, f.rise)}h80`"
            class="sole"
            :stroke="f.mark ? colour[f.mark] : '#fff'"
          />
        </svg>
        <p>
          <span class="dim figure">{{ pack(f.pack, units) }}</span>
          <span v-if="f.gap !== null" class="gap figure">{{ w.view.gapFelt(d(f.gap)) }}</span>
          <strong v-if="shims(f)" class="wants">{{ shims(f) }}</strong>
        </p>
      </div>
    </div>
    <p class="way">{{ w.view.farEnd(farName) }}</p>
  </div>
</template>

<style scoped>
.map {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1.05fr) minmax(110px, 0.8fr) minmax(0, 1.05fr);
  grid-auto-rows: auto;
  gap: 8px 22px;
  align-content: space-evenly;
}
.way {
  grid-column: 1 / -1;
  text-align: center;
  color: var(--scribe-dim);
  font-size: 14px;
}
.machine {
  grid-column: 2;
  grid-row: 2 / span 2;
  width: 100%;
  height: 100%;
  max-height: 460px;
  align-self: center;
}
.foot {
  min-width: 0;
  align-self: center;
}
.foot.left {
  grid-column: 1;
}
.foot.right {
  grid-column: 3;
}
h3 {
  display: flex;
  gap: 8px;
  align-items: baseline;
  font-size: 15px;
  font-weight: 400;
  color: var(--scribe-dim);
}
h3 strong {
  font-size: 19px;
  color: #fff;
}
.ordinal {
  margin-left: auto;
  border: 1px solid var(--scribe-dim);
  border-radius: 16px;
  padding: 1px 9px;
  font-size: 13px;
}
.mark {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 26px;
  font-size: 15px;
  flex-wrap: wrap;
  white-space: nowrap;
}
.mark .dim {
  margin-left: auto;
}
.dim {
  color: var(--scribe-dim);
}
.corners {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px;
}
.pack {
  display: grid;
  grid-template-columns: minmax(64px, 104px) minmax(0, 1fr);
  gap: 10px;
  align-items: end;
  margin-top: 6px;
}
.pack svg {
  width: 100%;
  height: 104px;
}
.pack p {
  display: grid;
  font-size: 14px;
  overflow-wrap: anywhere;
}
.gaps {
  grid-template-columns: minmax(0, 1fr) minmax(120px, 170px) minmax(0, 1fr);
}
.gap {
  color: var(--scribe);
}
.wants {
  color: var(--brass-on-dye);
  font-size: 17px;
}
.line {
  fill: none;
  stroke: var(--scribe);
  stroke-width: 1.5;
}
.axis {
  stroke: var(--scribe-dim);
  stroke-dasharray: 10 4 2 4;
}
.ghost {
  fill: none;
  stroke: var(--scribe-dim);
  stroke-dasharray: 4 3;
}
polygon.over {
  fill: var(--out-on-dye);
}
polygon.calm {
  fill: var(--scribe-dim);
}
.base {
  stroke: var(--scribe);
  stroke-width: 2;
}
.leaf-stays {
  fill: #a3aee0;
}
.leaf-in {
  fill: var(--brass-on-dye);
}
.leaf-out {
  fill: none;
  stroke: var(--brass-on-dye);
  stroke-dasharray: 4 3;
}
.sole {
  stroke-width: 2.5;
  fill: none;
}
text {
  text-anchor: middle;
  fill: var(--scribe);
}
.twist {
  font-family: var(--figures);
  font-size: 30px;
}
text.over {
  fill: var(--out-on-dye);
}
.small {
  font-size: 13px;
}
.small.dim {
  fill: var(--scribe-dim);
}
@media (max-height: 790px) {
  .pack svg {
    height: 64px;
  }
}
@media (max-width: 640px) {
  .map {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 10px 12px;
  }
  .machine {
    display: none;
  }
  .foot {
    align-self: start;
  }
  .foot.left {
    grid-column: 1;
  }
  .foot.right {
    grid-column: 2;
  }
  .pack {
    grid-template-columns: 1fr;
    gap: 2px;
  }
}
</style>
