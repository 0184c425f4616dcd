<script setup lang="ts">
import { instrumentWords } from '~~/shared/wording/en/instruments'
import { TURN_SHEET, type DrawnTurn } from '~~/shared/stages/measure/sweepDrawing'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'
import { clockFace } from '~~/shared/wording/clockFace'

/** A sweep by heads: the arc as ink, what each head shows, and the readings unrolled with the band their curve may lie in. */
const props = defineProps<{
  /** Clock angles as they are seen from here. */
  from: number | null
  at: number | null
  way: 1 | -1
  arc: number
  /** Degrees of arc asked for; null where nothing is. */
  wanted: number | null
  gaps: readonly { readonly from: number; readonly to: number }[]
  heads: readonly {
    readonly circle: string
    readonly letter: string
    readonly name: string
    readonly value: number | null
    readonly says: string
    readonly live: boolean
    readonly steady: boolean
  }[]
  turn: DrawnTurn
  seen: (clock: number) => number
  units: UnitSystem
}>()
const words = useWords()
const w = instrumentWords(words).sweep
const C = 128
const R = 104
const point = (clock: number, r: number) => {
  const a = (clock * Math.PI) / 180
  return { x: C + 22 + r * Math.sin(a), y: C + r * Math.cos(a) * -1 }
}
const P = (clock: number, r: number) => {
  const { x, y } = point(clock, r)
  return `${x.toFixed(1)} ${y.toFixed(1)}`
}
/** An arc along the ring, from one angle on by so many degrees, the way it is turned. */
const along = (from: number, by: number) => {
  const size = Math.min(359.9, Math.abs(by))
  const to = from + (by < 0 ? -size : size)
  return `M${P(from, R)}A${R} ${R} 0 ${size > 180 ? 1 : 0} ${by < 0 ? 0 : 1} ${P(to, R)}`
}
const begun = computed(() => props.from !== null && props.arc > 0)
const ink = computed(() => (begun.value ? along(props.from ?? 0, props.way * props.arc) : ''))
const toGo = computed(() =>
  begun.value && props.wanted !== null && props.wanted > props.arc
    ? along((props.from ?? 0) + props.way * props.arc, props.way * (props.wanted - props.arc))
    : '',
)
const missing = computed(() =>
  props.gaps.map((g) => along(g.from, ((((g.to - g.from) % 360) + 540) % 360) - 180)),
)
const mark = computed(() =>
  props.wanted === null || props.from === null ? null : props.from + props.way * props.wanted,
)
const ask = computed(() =>
  props.wanted === null || props.wanted <= props.arc ? '' : w.turnOn(Math.ceil(props.wanted - props.arc)),
)
const d = (x: number | null) => figure(x, 'displacement', props.units, { sign: true })
/** One turn of a needle: 40 mil, or 1 mm. */
const needle = (x: number | null) => ((x ?? 0) / (props.units === 'inch' ? 40 * 0.0254 : 1)) * 360
const HOURS = [0, 90, 180, 270]
const sweptWords = computed(() => `${Math.round(props.arc)}°`)
</script>

<template>
  <div class="sweep">
    <div class="upper">
      <svg viewBox="0 0 300 258" role="img" :aria-label="`${w.sweptSoFar}: ${Math.round(arc)}°. ${ask}`">
        <circle class="ring" :cx="C + 22" :cy="C" :r="R" />
        <path v-if="ink" class="ink" :d="ink" />
        <path v-for="(g, i) in missing" :key="i" class="gap" :d="g" />
        <path v-if="toGo" class="to-go" :d="toGo" />
        <path v-if="from !== null" class="mark" :d="`M${P(from, R - 14)}L${P(from, R + 14)}`" />
        <path v-if="mark !== null" class="wanted" :d="`M${P(mark, R - 16)}L${P(mark, R + 16)}`" />
        <text
          v-for="h in HOURS"
          :key="h"
          class="hour"
          :x="point(h, R - 26).x"
          :y="point(h, R - 26).y + 5"
          text-anchor="middle"
        >
          {{ clockFace(h) }}
        </text>
        <path v-if="at !== null" class="hand" :d="`M${P(at, R - 22)}L${P(at, R + 8)}`" />
        <circle v-if="at !== null" class="knob" :cx="point(at, R + 14).x" :cy="point(at, R + 14).y" r="6" />
        <text class="big" :x="C + 22" :y="C + 4" text-anchor="middle">{{ sweptWords }}</text>
        <text class="small" :x="C + 22" :y="C + 24" text-anchor="middle">{{ w.sweptSoFar }}</text>
        <text v-if="ask" class="ask" :x="C + 22" :y="C + 46" text-anchor="middle">{{ ask }}</text>
      </svg>
      <div class="heads">
        <figure v-for="h in heads" :key="h.circle" :class="{ grey: !h.live }" :data-circle="h.circle">
          <svg viewBox="0 0 100 100" aria-hidden="true">
            <circle class="face" cx="50" cy="50" r="46" />
            <path v-for="i in 20" :key="i" class="tick" d="M50 6v6" :transform="`rotate(${i * 18} 50 50)`" />
            <path class="needle" d="M50 62V14" :style="{ transform: `rotate(${needle(h.value)}deg)` }" />
            <circle cx="50" cy="50" r="4" fill="#fff" />
          </svg>
          <figcaption>
            <span
              ><b>{{ h.letter }}</b> {{ h.name }}</span
            >
            <span class="figure shown">{{ d(h.value) }}</span>
            <StillSays :says="h.says" :steady="h.steady" />
          </figcaption>
        </figure>
      </div>
    </div>
    <p class="title">
      <b>{{ w.readings }}</b> <span>{{ w.soft(UNIT_NAMES[units].displacement) }}</span>
    </p>
    <svg
      class="turn"
      :viewBox="`0 0 ${TURN_SHEET.width} ${TURN_SHEET.height}`"
      role="img"
      :aria-label="w.readings"
    >
      <path v-for="c in turn.curves" :key="c.circle" class="band" :d="c.band" />
      <g v-for="l in turn.lines" :key="l.y">
        <path
          class="rule"
          :class="{ zero: l.value === 0 }"
          :d="`M${TURN_SHEET.left} ${l.y}H${TURN_SHEET.right}`"
        />
        <text class="tick-text" :x="TURN_SHEET.left - 6" :y="l.y + 4" text-anchor="end">
          {{ d(l.value) }}
        </text>
      </g>
      <rect
        v-if="turn.now !== null && turn.wanted !== null && turn.wanted > turn.now"
        class="rest"
        :x="turn.now"
        :y="TURN_SHEET.top"
        :width="turn.wanted - turn.now"
        :height="TURN_SHEET.bottom - TURN_SHEET.top"
      />
      <path v-if="turn.now !== null" class="now" :d="`M${turn.now} ${TURN_SHEET.top}V${TURN_SHEET.bottom}`" />
      <path
        v-if="turn.wanted !== null"
        class="wanted"
        :d="`M${turn.wanted} ${TURN_SHEET.top}V${TURN_SHEET.bottom}`"
      />
      <g v-for="(c, i) in turn.curves" :key="c.circle">
        <path class="curve" :d="c.swept" />
        <path class="curve onward" :d="c.onward" />
        <circle
          v-for="(p, n) in c.dots"
          :key="n"
          :class="['dot', { hollow: i > 0 }]"
          :cx="p.x"
          :cy="p.y"
          r="3"
        />
      </g>
      <text
        v-for="q in turn.quarters"
        :key="q.x"
        class="tick-text"
        :x="q.x"
        :y="TURN_SHEET.bottom + 18"
        text-anchor="middle"
      >
        {{ clockFace(seen(q.clock)) }}
      </text>
    </svg>
    <p class="legend">
      <span v-for="(h, i) in heads" :key="h.circle">{{
        (i === 0 ? w.filled : w.hollow)(`${h.letter} ${h.name}`)
      }}</span>
    </p>
  </div>
</template>

<style scoped>
.sweep {
  display: grid;
  gap: 4px;
}
.upper {
  display: grid;
  grid-template-columns: minmax(180px, 268px) 1fr;
  gap: 18px;
  align-items: center;
}
.ring,
.ink,
.gap,
.to-go {
  fill: none;
  stroke-width: 16;
}
.ring {
  stroke: var(--dye-deep);
}
.ink {
  stroke: var(--scribe);
}
.gap {
  stroke: var(--dye-deep);
}
.to-go {
  stroke: #6b5a3d;
}
.mark {
  stroke: #fff;
  stroke-width: 2;
}
.wanted {
  stroke: var(--brass-on-dye);
  stroke-width: 2.5;
}
.hand {
  stroke: #fff;
  stroke-width: 3;
}
.knob {
  fill: var(--dye);
  stroke: #fff;
  stroke-width: 2.5;
}
.hour,
.tick-text {
  fill: var(--scribe-dim);
  font: 14px var(--figures);
}
.tick-text {
  font-size: 13px;
}
.big {
  fill: #fff;
  font: 600 36px var(--figures);
}
.small {
  fill: var(--scribe-dim);
  font-size: 14px;
}
.ask {
  fill: var(--brass-on-dye);
  font-size: 16px;
  font-weight: 600;
}
.heads {
  display: flex;
  flex-wrap: wrap;
  gap: 14px 24px;
}
figure {
  display: flex;
  gap: 12px;
  align-items: center;
  margin: 0;
}
figure svg {
  width: 84px;
}
.face {
  fill: var(--dye-deep);
  stroke: var(--scribe);
  stroke-width: 2;
}
.tick {
  stroke: var(--scribe-dim);
}
.needle {
  stroke: #fff;
  stroke-width: 3;
  stroke-linecap: round;
  transform-origin: 50px 50px;
}
figcaption {
  display: grid;
  color: var(--scribe);
}
.shown {
  font-size: 26px;
  color: #fff;
}
.grey .shown,
.grey .needle {
  opacity: 0.45;
}
.title {
  color: var(--scribe-dim);
  font-size: 14px;
  border-top: 1px solid var(--dye-line);
  padding-top: 6px;
}
.title b {
  color: #fff;
}
.turn {
  width: 100%;
  max-height: 240px;
}
.band {
  fill: var(--scribe-dim);
  opacity: 0.22;
}
.rule {
  stroke: var(--dye-line);
  stroke-dasharray: 3 4;
}
.rule.zero {
  stroke-dasharray: none;
}
.rest {
  fill: #6b5a3d;
  opacity: 0.55;
}
.now {
  stroke: #fff;
  stroke-width: 1.5;
}
.curve {
  fill: none;
  stroke: #fff;
  stroke-width: 1.8;
}
.onward {
  stroke: var(--scribe-dim);
  stroke-dasharray: 5 5;
}
.dot {
  fill: #fff;
}
.dot.hollow {
  fill: var(--dye);
  stroke: #fff;
  stroke-width: 1.8;
}
.legend {
  display: flex;
  gap: 20px;
  font-size: 14px;
  color: var(--scribe);
}
@media (max-width: 640px) {
  .upper {
    grid-template-columns: 1fr;
  }
}
</style>
