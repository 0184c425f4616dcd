<script setup lang="ts">
import { hotWords } from '~~/shared/wording/en'
import { WARMING_SHEET, type DrawnWarming } from '~~/shared/stages/hotCheck/drawing'

/** Temperatures at the feet over a run, when they stood still, and how long ago it was stopped. */
defineProps<{
  drawn: DrawnWarming
  /** In the reader's scale. */
  degrees: string
  nameOf: (machine: 'movable' | 'stationary', pair: string) => string
  /** Whether they stand still, in words. */
  still: string
  /** Whole minutes since the stop; null while it runs. */
  sinceStop: number | null
}>()
const words = useWords()
const w = hotWords(words)
const { width: W, height: H, left, right, top, bottom } = WARMING_SHEET
const R = 66
/** The hand goes round once an hour; a cold one has gone all the way. */
const arc = (minutes: number) => {
  const share = Math.min(0.9999, minutes / 60)
  const angle = share * 2 * Math.PI
  return `M0 ${-R}A${R} ${R} 0 ${share > 0.5 ? 1 : 0} 1 ${R * Math.sin(angle)} ${-R * Math.cos(angle)}`
}
</script>

<template>
  <p class="told">
    <span>{{ degrees }}</span> <span :class="{ yes: drawn.still }">{{ still }}</span>
  </p>
  <div class="warming" :class="{ stopped: sinceStop !== null }">
    <svg :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="w.view.temperatures">
      <rect
        v-if="drawn.still"
        class="still"
        :x="drawn.still.x"
        :y="top"
        :width="drawn.still.width"
        :height="bottom - top"
      />
      <g v-for="v in drawn.values" :key="v.name">
        <path class="rule" :d="`M${left} ${v.y}H${right}`" />
        <text class="figure quiet" :x="left - 6" :y="v.y + 5" text-anchor="end">{{ v.name }}</text>
      </g>
      <g v-for="t in drawn.times" :key="t.x">
        <path class="rule" :d="`M${t.x} ${bottom}v6`" />
        <text class="figure quiet" :x="t.x" :y="bottom + 22" text-anchor="middle">{{ t.name }}</text>
      </g>
      <path v-if="drawn.stopped !== null" class="stop" :d="`M${drawn.stopped} ${top}V${bottom}`" />
      <g v-for="l in drawn.lines" :key="l.key" :class="[l.machine, { dashed: l.dashed }]">
        <path class="line" :d="l.path" />
        <circle v-for="(p, i) in l.points" :key="i" :cx="p.x" :cy="p.y" r="3" />
        <text :x="right + 8" :y="l.nameY">
          {{ nameOf(l.machine, l.pair) }}
          <tspan class="figure">{{ l.last }}</tspan>
        </text>
      </g>
    </svg>
    <svg
      v-if="sinceStop !== null"
      class="clock"
      viewBox="-80 -80 160 160"
      role="img"
      :aria-label="w.minutes(sinceStop)"
    >
      <circle class="face" r="66" />
      <path v-for="n in 12" :key="n" class="rule" d="M0 -60v-6" :transform="`rotate(${n * 30})`" />
      <path class="hand" :d="arc(sinceStop)" />
      <text class="figure big" text-anchor="middle" y="8">{{ sinceStop }}</text>
      <text class="unit" text-anchor="middle" y="32">{{ w.minute }}</text>
    </svg>
  </div>
</template>

<style scoped>
.warming {
  display: grid;
  gap: 16px;
  align-items: center;
}
.warming.stopped {
  grid-template-columns: minmax(0, 3fr) minmax(110px, 1fr);
}
.warming svg {
  width: 100%;
  display: block;
}
.rule {
  stroke: var(--dye-line);
}
.still {
  fill: #58d3be33;
}
.stop {
  stroke: var(--brass-on-dye);
  stroke-width: 1.6;
}
.line {
  fill: none;
  stroke: #fff;
  stroke-width: 2.2;
}
.movable circle,
.movable text {
  fill: #fff;
}
.stationary .line {
  stroke: var(--scribe-dim);
}
.stationary circle,
.stationary text,
.quiet {
  fill: var(--scribe-dim);
}
.dashed .line {
  stroke-dasharray: 6 4;
}
.warming text {
  font-size: 15px;
}
/* Beside the clock the sheet is drawn smaller. */
.stopped text {
  font-size: 19px;
}
.told {
  display: flex;
  gap: 28px;
  color: var(--scribe-dim);
  min-height: 1.5em;
}
.told .yes {
  color: var(--in-on-dye);
}
.face {
  fill: var(--dye-deep);
  stroke: var(--scribe-dim);
}
.hand {
  fill: none;
  stroke: var(--brass-on-dye);
  stroke-width: 6;
}
.warming .big {
  font-size: 46px;
  fill: var(--brass-on-dye);
}
.warming .unit {
  font-size: 15px;
  fill: var(--brass-on-dye);
}
@media (max-width: 640px) {
  .warming {
    overflow-x: auto;
  }
  .warming svg:first-child {
    min-width: 600px;
  }
  .warming.stopped {
    grid-template-columns: 1fr;
  }
  .clock {
    max-width: 130px;
    margin: 0 auto;
  }
}
</style>
