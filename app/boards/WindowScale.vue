<script setup lang="ts">
import { drumWords, verdictsWords } from '~~/shared/wording/en'
import type { Mark } from '~~/core/logbook/stage'
import type { Band } from '~~/core/judge/tolerance'
import type { VerdictOrUnknown } from '~~/core/judge/judge'
import { drawWindow } from '~~/shared/drawing/tram'
import { figure } from '~~/shared/wording/figures'
import type { UnitSystem } from '~~/core/units/unitSystem'

/** One quantity on the scale of its window, one-sided or not: where it stands, and where it ends. Millimetres. */
const props = defineProps<{
  name: string
  band: Band
  now: number | null
  after?: number | null
  /** The value in words, `3.0 mil low`. */
  says: string
  verdict: VerdictOrUnknown
  units: UnitSystem
  /** Stands on end, high at the top: what lies below an end that nothing may pass is hatched. */
  upright?: boolean
  /** Counts from zero up: no plus stands before it. */
  unsigned?: boolean
  never?: { readonly low: string; readonly high: string }
}>()
const words = useWords()
const w = drumWords(words)
const drawn = computed(() => drawWindow(props.band, [props.now, props.after ?? null]))
const d = (x: number) => figure(x, 'displacement', props.units, { sign: x !== 0 && !props.unsigned })
const pct = (share: number) => `${(100 * share).toFixed(1)}%`
const span = computed(() => {
  const from = drawn.value.low ?? 0
  const to = drawn.value.high ?? 1
  return { from, size: to - from }
})
/** The side of zero that nothing may stand on, where zero is the end of the band or beyond it. */
const barred = computed(() => {
  const [low, high] = props.band
  if (!props.never) return ''
  return low !== null && low >= 0 ? props.never.low : high !== null && high <= 0 ? props.never.high : ''
})
const mark = computed((): Mark => (props.verdict === 'unknown' ? 'todo' : props.verdict))
const shown = (share: number) => (props.upright ? { bottom: pct(share) } : { left: pct(share) })
</script>

<template>
  <div :class="['window', { upright }]">
    <p class="head">
      <b>{{ name }}</b>
      <span :class="['says', verdict]">{{ says }}</span>
    </p>
    <div class="scale" aria-hidden="true">
      <span
        v-if="drawn.low !== null"
        class="forbidden"
        :style="upright ? { height: pct(drawn.low) } : { width: pct(drawn.low) }"
      />
      <span
        v-if="drawn.high !== null"
        class="forbidden over"
        :style="upright ? { height: pct(1 - drawn.high) } : { width: pct(1 - drawn.high) }"
      />
      <span
        class="band"
        :style="
          upright
            ? { bottom: pct(span.from), height: pct(span.size) }
            : { left: pct(span.from), width: pct(span.size) }
        "
      />
      <span v-for="end in [0, 1] as const" :key="end">
        <template v-if="band[end] !== null">
          <i class="tick" :style="shown(drawn.at(band[end]!))" />
          <em class="figure" :style="shown(drawn.at(band[end]!))">{{ d(band[end]!) }}</em>
        </template>
      </span>
      <span v-if="after != null" class="marker after" :style="shown(drawn.at(after))" />
      <span v-if="now !== null" :class="['marker', verdict]" :style="shown(drawn.at(now))" />
    </div>
    <p class="foot">
      <VerdictMark :mark="mark" on-dye /> {{ verdictsWords(words)[verdict] }}
      <span v-if="after != null" class="ends">{{ w.after }} {{ d(after) }}</span>
      <span v-if="barred" class="never">{{ barred }}</span>
    </p>
  </div>
</template>

<style scoped>
.window {
  min-width: 0;
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 8px;
  font-size: 14px;
}
b {
  color: #fff;
  font-size: 15px;
}
.says {
  font-family: var(--figures);
  color: var(--scribe);
}
.says.in {
  color: var(--in-on-dye);
}
.says.edge {
  color: var(--edge-on-dye);
}
.says.out {
  color: var(--out-on-dye);
}
.scale {
  position: relative;
  height: 44px;
  margin: 6px 4px 0;
  border-bottom: 0;
}
.scale::after {
  content: '';
  position: absolute;
  left: 0;
  right: 0;
  top: 22px;
  border-top: 1px solid var(--scribe-dim);
}
.band,
.forbidden {
  position: absolute;
  top: 6px;
  height: 16px;
}
.band {
  background: color-mix(in srgb, var(--in-on-dye) 26%, transparent);
}
.forbidden {
  left: 0;
  background: repeating-linear-gradient(
    -45deg,
    transparent 0 5px,
    color-mix(in srgb, var(--out-on-dye) 45%, transparent) 5px 6.5px
  );
}
.forbidden.over {
  left: auto;
  right: 0;
}
.tick {
  position: absolute;
  top: 4px;
  height: 20px;
  border-left: 2px solid var(--in-on-dye);
  translate: -1px;
}
em {
  position: absolute;
  top: 26px;
  translate: -50%;
  font-style: normal;
  font-size: 13px;
  color: var(--scribe-dim);
}
.marker {
  position: absolute;
  top: 3px;
  width: 0;
  height: 0;
  border: 8px solid transparent;
  border-top: 12px solid #fff;
  border-bottom: 0;
  translate: -8px;
}
.marker.out {
  border-top-color: var(--out-on-dye);
}
.marker.edge {
  border-top-color: var(--edge-on-dye);
}
.marker.after {
  border: 0;
  width: 12px;
  height: 12px;
  top: 6px;
  border: 2px solid var(--in-on-dye);
  rotate: 45deg;
  translate: -6px;
}
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: center;
  font-size: 14px;
}
.ends {
  color: var(--in-on-dye);
}
.never {
  color: var(--out-on-dye);
}
.upright {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 96px;
  grid-template-rows: auto 1fr;
  column-gap: 6px;
}
.upright .head {
  flex-direction: column;
  gap: 2px;
}
.upright .says {
  font-size: 21px;
  line-height: 1.2;
}
.upright .scale {
  grid-column: 2;
  grid-row: 1 / 3;
  height: 148px;
  margin: 0;
}
.upright .scale::after {
  left: 40px;
  right: auto;
  top: 0;
  bottom: 0;
  border-top: 0;
  border-left: 1px solid var(--scribe-dim);
}
.upright .band,
.upright .forbidden {
  left: 40px;
  top: auto;
  width: 22px;
}
.upright .forbidden {
  bottom: 0;
}
.upright .forbidden.over {
  bottom: auto;
  top: 0;
  right: auto;
}
.upright .tick {
  left: 34px;
  top: auto;
  width: 34px;
  height: 0;
  border-left: 0;
  border-top: 2px solid var(--in-on-dye);
  translate: 0 1px;
}
.upright em {
  left: 14px;
  top: auto;
  translate: -50% 50%;
}
.upright .marker {
  left: 66px;
  top: auto;
  border: 8px solid transparent;
  border-right: 12px solid #fff;
  border-left: 0;
  translate: 0 8px;
}
.upright .marker.out {
  border-right-color: var(--out-on-dye);
}
.upright .marker.edge {
  border-right-color: var(--edge-on-dye);
}
.upright .marker.after {
  border: 2px solid var(--in-on-dye);
  width: 12px;
  height: 12px;
  translate: 0 6px;
}
.upright .foot {
  align-content: start;
}
.upright .ends,
.upright .never {
  flex-basis: 100%;
}
</style>
