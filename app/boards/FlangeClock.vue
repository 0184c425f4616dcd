<script setup lang="ts">
import { flangeWords } from '~~/shared/wording/en'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { FLANGE_CLOCK, type FlangeDrawing } from '~~/shared/drawing/flangeClock'
import { clockFace } from '~~/shared/wording/clockFace'
import { thickness } from '~~/shared/wording/figures'

/** The flange seen from above: bolts by their hours, shims standing radially, the lean, and the offset inside the hub. */
const props = defineProps<{
  drawing: FlangeDrawing
  units: UnitSystem
  /** What stands in the hub: what stays, or what is off. */
  hub?: string
  /** The offset is inside its limit. */
  inside?: boolean
  /** Shims are to be laid now. */
  brass?: boolean
  /** What lies there, not what is added. */
  lying?: boolean
}>()
const w = flangeWords(useWords())
const { size, middle, rim, circle, hub: inner, shim } = FLANGE_CLOCK
const shown = (mm: number) => `${mm > 0 && !props.lying ? '+' : ''}${thickness(mm, props.units)}`
const shimmed = computed(() => props.drawing.bolts.some((b) => b.height > 0))
/** Where each leaf of a pack ends, but the last. */
const lines = (leaves: readonly number[]) => leaves.slice(0, -1)
</script>

<template>
  <svg :viewBox="`0 0 ${size} ${size}`" role="img" :aria-label="w.view.clock">
    <circle class="rim" :cx="middle" :cy="middle" :r="rim" />
    <circle class="circle" :cx="middle" :cy="middle" :r="circle" />
    <path v-if="drawing.tops" class="tops" :d="drawing.tops" />
    <template v-if="drawing.lean">
      <path
        class="axis"
        :d="`M${drawing.lean.axis[0]} ${drawing.lean.axis[1]}L${drawing.lean.axis[2]} ${drawing.lean.axis[3]}`"
      />
      <template v-if="drawing.lean.sides">
        <text class="side" :x="drawing.lean.sides.high.x" :y="drawing.lean.sides.high.y + 5">
          {{ w.view.high }}
        </text>
        <text class="side" :x="drawing.lean.sides.low.x" :y="drawing.lean.sides.low.y + 5">
          {{ w.view.low }}
        </text>
      </template>
    </template>
    <g v-for="b in drawing.bolts" :key="b.id">
      <g :transform="`rotate(${b.clock} ${middle} ${middle})`">
        <rect
          v-if="b.height > 0"
          :class="['shim', { brass }]"
          :x="middle - shim / 2"
          :y="middle - rim - b.height"
          :width="shim"
          :height="b.height"
        />
        <path
          v-for="(l, i) in lines(b.leaves)"
          :key="i"
          :class="['leaf', { brass }]"
          :d="`M${middle - shim / 2} ${middle - rim - l}h${shim}`"
        />
      </g>
      <circle :class="['bolt', { marked: b.id === '1' }]" :cx="b.x" :cy="b.y" r="13" />
      <path
        class="hex"
        :class="{ marked: b.id === '1' }"
        :d="`M${b.x - 7} ${b.y}l3.5 -6h7l3.5 6l-3.5 6h-7z`"
      />
      <text class="hour" :x="b.name.x" :y="b.name.y + 5">{{ clockFace(b.clock) }}</text>
      <text
        v-if="shimmed"
        :class="['added', { brass, none: b.height === 0 }]"
        :x="b.label.x"
        :y="b.label.y + 8"
      >
        {{ shown(b.added) }}
      </text>
    </g>
    <circle class="hub" :cx="middle" :cy="middle" :r="inner" />
    <template v-if="drawing.offset">
      <circle
        v-if="drawing.offset.ring !== null"
        :class="['ring', { out: inside === false }]"
        :cx="middle"
        :cy="middle"
        :r="drawing.offset.ring"
      />
      <path class="cross" :d="`M${middle - 8} ${middle}h16M${middle} ${middle - 8}v16`" />
      <path class="hand" :d="`M${middle} ${middle}L${drawing.offset.x} ${drawing.offset.y}`" />
      <circle class="dot" :cx="drawing.offset.x" :cy="drawing.offset.y" r="5.5" />
    </template>
    <text v-if="hub" class="stays" :class="{ out: inside === false }" :x="middle" :y="middle + inner - 14">
      {{ hub }}
    </text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 100%;
  min-height: 0;
}
.rim {
  fill: #272c72;
  stroke: #fff;
  stroke-width: 2;
}
.circle {
  fill: none;
  stroke: var(--scribe-dim);
  stroke-dasharray: 9 5;
}
.tops {
  fill: none;
  stroke: var(--scribe);
  stroke-dasharray: 3 4;
}
.axis {
  fill: none;
  stroke: #fff;
  stroke-width: 1.6;
  stroke-dasharray: 13 5 3 5;
}
.side {
  fill: #fff;
  font-size: 17px;
  font-weight: 600;
}
.shim {
  fill: #474d97;
  stroke: var(--scribe);
  stroke-width: 1.5;
}
.shim.brass {
  fill: rgb(224 176 74 / 42%);
  stroke: var(--brass-on-dye);
}
.leaf {
  stroke: var(--scribe);
}
.leaf.brass {
  stroke: var(--brass-on-dye);
}
.bolt {
  fill: var(--dye-deep);
  stroke: #fff;
  stroke-width: 2;
}
.bolt.marked {
  fill: #fff;
}
.hex {
  fill: none;
  stroke: #fff;
  stroke-width: 1.4;
}
.hex.marked {
  stroke: var(--dye-deep);
}
text {
  text-anchor: middle;
}
.hour {
  fill: var(--scribe);
  font-family: var(--figures);
  font-size: 17px;
}
.added {
  fill: var(--scribe);
  font-family: var(--figures);
  font-size: 25px;
}
.added.brass {
  fill: var(--brass-on-dye);
}
.added.none {
  fill: var(--scribe-dim);
  font-size: 21px;
}
.hub {
  fill: var(--dye-deep);
  stroke: var(--scribe);
}
.ring {
  fill: none;
  stroke: var(--in-on-dye);
  stroke-width: 1.6;
}
.ring.out {
  stroke: var(--out-on-dye);
}
.cross {
  stroke: var(--scribe-dim);
}
.hand {
  stroke: #fff;
  stroke-width: 1.6;
}
.dot {
  fill: #fff;
}
.stays {
  fill: #fff;
  font-family: var(--figures);
  font-size: 17px;
}
.stays.out {
  fill: var(--out-on-dye);
}
</style>
