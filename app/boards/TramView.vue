<script setup lang="ts">
import { drumWords } from '~~/shared/wording/en'
import { drawTram, TRAM_SHEET, type PlaneLine } from '~~/shared/drawing/tram'

/** The motor beside its drum from the side, or from above: as it stands, and where it ends. */
const props = defineProps<{
  plane: 'v' | 'h'
  now: PlaneLine | null
  after: PlaneLine | null
  /** From the rim dial, millimetres; empty where nobody knows. */
  feet: readonly number[]
  /** What goes under, or aside at, each pair: by its place among the feet. */
  notes: readonly string[]
  footNames: readonly string[]
}>()
const w = drumWords(useWords())
const drawn = computed(() => drawTram(props.now, props.after, props.feet))
const { axis } = TRAM_SHEET
</script>

<template>
  <figure>
    <figcaption>
      <b>{{ plane === 'v' ? w.sideView : w.topView }}</b>
      <span v-if="feet.length">{{ w.stepsTimes(String(drawn.times)) }}</span>
    </figcaption>
    <svg viewBox="0 0 300 300" role="img" :aria-label="plane === 'v' ? w.sideView : w.topView">
      <g class="drum">
        <rect x="22" y="18" width="34" height="220" />
        <rect x="56" y="94" width="18" height="68" />
        <path d="M4 104h18M4 152h18" />
      </g>
      <path class="level" :d="`M0 ${axis}H300`" />
      <g
        :transform="`translate(${drawn.motor.x} ${drawn.motor.y}) rotate(${drawn.motor.lean})`"
        class="motor"
      >
        <rect x="-62" y="-46" width="120" height="92" rx="3" />
        <path d="M58 -40h14v80h-14M-52 -30H46M-52 -10H46M-52 10H46M-52 30H46M-62 -16h-22v32h22" />
        <template v-if="plane === 'v'"><path d="M-52 46v14h26v-14M22 46v14h26v-14" /></template>
      </g>
      <g class="rods">
        <path :d="`M88 ${drawn.motor.y - 8}V14H39v6M82 ${drawn.motor.y - 8}V52H56`" />
        <circle cx="39" cy="12" r="9" />
        <circle cx="62" cy="52" r="7" />
      </g>
      <path
        v-if="drawn.now"
        class="now"
        :d="`M${drawn.now.x1} ${drawn.now.y1}L${drawn.now.x2} ${drawn.now.y2}`"
      />
      <path
        v-if="drawn.after"
        class="after"
        :d="`M${drawn.after.x1} ${drawn.after.y1}L${drawn.after.x2} ${drawn.after.y2}`"
      />
      <g v-for="(x, i) in drawn.feet" :key="i" class="foot">
        <path :d="`M${x} 214V250`" />
        <text :x="x" y="268">{{ footNames[i] }}</text>
        <text class="note figure" :x="x" y="290">{{ notes[i] }}</text>
      </g>
    </svg>
    <p class="key">
      <span class="line" /> {{ w.now }}
      <template v-if="drawn.after"><span class="line dashed" /> {{ w.after }}</template>
    </p>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  min-width: 0;
}
figcaption {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  color: var(--scribe-dim);
  font-size: 14px;
}
b {
  color: #fff;
  font-size: 16px;
}
svg {
  width: 100%;
  height: auto;
  max-height: 330px;
}
.drum rect,
.motor rect {
  fill: #24296a;
  stroke: #fff;
  stroke-width: 1.6;
}
.drum path,
.motor path {
  fill: none;
  stroke: var(--scribe);
}
.motor rect {
  fill: color-mix(in srgb, #24296a 70%, transparent);
}
.rods path {
  fill: none;
  stroke: var(--scribe);
  stroke-width: 2.4;
}
.rods circle {
  fill: var(--dye-deep);
  stroke: #fff;
  stroke-width: 1.6;
}
.level {
  stroke: var(--dye-line);
  stroke-dasharray: 8 4 2 4;
}
.now {
  stroke: #fff;
  stroke-width: 2.4;
}
.after {
  stroke: var(--in-on-dye);
  stroke-width: 2.4;
  stroke-dasharray: 7 5;
}
.foot path {
  stroke: var(--dye-line);
  stroke-dasharray: 2 4;
}
text {
  fill: var(--scribe-dim);
  font-size: 14px;
  text-anchor: middle;
}
.note {
  fill: var(--brass-on-dye);
  font-size: 17px;
}
.key {
  display: flex;
  align-items: center;
  gap: 6px;
  font-size: 14px;
  color: var(--scribe);
}
.line {
  width: 26px;
  border-top: 2.4px solid #fff;
}
.line.dashed {
  margin-left: 10px;
  border-top: 2.4px dashed var(--in-on-dye);
}
</style>
