<script setup lang="ts">
import { flangeWords } from '~~/shared/wording/en'
import { drawnLean } from '~~/shared/drawing/flangeClock'
import { clockFace } from '~~/shared/wording/clockFace'
import { UNIT_NAMES, figure } from '~~/shared/wording/figures'
import type { UnitSystem } from '~~/core/units/unitSystem'

/** The motor seen along the axis it tilts about: how it leans now, how it will stand, which side is high. */
const props = defineProps<{
  /** The tilt now and after, and which way it leans (degrees clockwise from 12). */
  tilt: number
  after: number | null
  /** What the tilt is judged by, for its scale. */
  limit?: number | null
  toward: number
  units: UnitSystem
  stationaryName: string
}>()
const w = flangeWords(useWords()).view
const lean = computed(() => drawnLean(props.tilt, props.limit ?? null))
const degreesAfter = computed(() =>
  props.after === null ? 0 : (Math.atan(props.after * lean.value.times) * 180) / Math.PI,
)
const slope = (x: number) => figure(x, 'slope', props.units)
const PIVOT = { x: 106, y: 268 }
</script>

<template>
  <figure>
    <figcaption>
      <b>{{ w.side }}</b> <span>{{ w.sideNote(String(lean.times)) }}</span>
      <small>{{ w.lean(UNIT_NAMES[units].slope) }}</small>
    </figcaption>
    <svg viewBox="0 0 216 430" role="img" :aria-label="w.sideView">
      <text v-if="after !== null" class="figure after" x="74" y="22">{{ slope(after) }}</text>
      <text v-if="after !== null" class="note after" x="74" y="42">{{ w.predicted }}</text>
      <text class="figure" x="158" y="22">{{ slope(tilt) }}</text>
      <text class="note" x="158" y="42">{{ w.now }}</text>
      <path class="level" d="M8 268H208" />
      <g class="frame">
        <path d="M24 282h20l-6 84h-14zM168 282h20v84h-14z" />
        <rect x="14" y="366" width="184" height="46" />
        <rect x="84" y="332" width="44" height="22" />
        <path d="M106 354v12" />
      </g>
      <g :transform="`rotate(${lean.degrees} ${PIVOT.x} ${PIVOT.y})`" class="motor">
        <rect x="64" y="96" width="84" height="158" />
        <path d="M76 96v-18q0 -6 6 -6h48q6 0 6 6v18M84 118v116M128 118v116" />
        <rect x="20" y="254" width="172" height="14" />
        <rect x="88" y="294" width="36" height="20" />
        <path d="M106 268V294" />
        <path class="axis" d="M106 54V326" />
      </g>
      <path
        v-if="after !== null"
        class="predicted"
        d="M106 54V326"
        :transform="`rotate(${degreesAfter} ${PIVOT.x} ${PIVOT.y})`"
      />
      <text class="note" x="106" y="394">{{ stationaryName }}</text>
      <text class="note start" x="10" y="428">{{ clockFace(toward + 180) }}, {{ w.high }}</text>
      <text class="note end" x="206" y="428">{{ clockFace(toward) }}, {{ w.low }}</text>
    </svg>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
figcaption {
  color: var(--scribe);
  font-size: 14px;
}
figcaption b {
  font-size: 16px;
  color: #fff;
}
figcaption span {
  color: var(--scribe-dim);
  font-family: var(--figures);
}
small {
  display: block;
  font-size: 13px;
  color: var(--scribe-dim);
}
svg {
  flex: 1;
  min-height: 0;
  width: 100%;
}
.frame,
.motor {
  fill: #24296a;
  stroke: var(--scribe);
  stroke-width: 1.4;
}
.motor {
  stroke: #fff;
  fill: rgb(50 56 130 / 70%);
}
.axis {
  stroke: #fff;
  stroke-width: 1.8;
}
.predicted {
  fill: none;
  stroke: var(--in-on-dye);
  stroke-width: 2;
  stroke-dasharray: 7 5;
}
.level {
  stroke: var(--in-on-dye);
  stroke-dasharray: 7 5;
}
text {
  text-anchor: middle;
  fill: var(--scribe);
  font-size: 14px;
}
.start {
  text-anchor: start;
}
.end {
  text-anchor: end;
}
.figure {
  font-family: var(--figures);
  font-size: 22px;
  fill: #fff;
}
.after {
  fill: var(--in-on-dye);
}
</style>
