<script setup lang="ts">
import { drumWords } from '~~/shared/wording/en'
import { seenClock } from '~~/shared/wording/otherEnd'
import type { TramDial } from '~~/shared/stages/tram/asRead'

/** A drum with its two dials: rim boxes stand outside it, face boxes inside, each at its hour. */
defineProps<{
  clocks: readonly number[]
  /** Where the dials stand at zero. */
  zero: number
  /** The one that is out, ringed. */
  ringed?: readonly { readonly dial: TramDial; readonly clock: number }[]
  name: string
}>()
defineSlots<{ box: (at: { dial: TramDial; clock: number }) => unknown }>()
const w = drumWords(useWords())
const DIALS = ['rim', 'face'] as const
const from = useOtherEnd() ? 'stationary' : 'movable'
const seen = (clock: number) => seenClock(clock, from)
const area = (clock: number) => ({ 0: 'top', 90: 'right', 180: 'bottom', 270: 'left' })[seen(clock)] ?? ''
const hour = (clock: number) => ({ 0: '12', 90: '3', 180: '6', 270: '9' })[seen(clock)] ?? ''
</script>

<template>
  <div class="tram" role="group" :aria-label="name">
    <svg viewBox="0 0 480 366" aria-hidden="true">
      <path class="stand" d="M180 306l-28 48M300 306l28 48M104 356H376" />
      <circle class="drum" cx="240" cy="190" r="134" />
      <circle class="lip" cx="240" cy="190" r="127" />
      <path class="rod" d="M234 176V36h12v140zM258 176v-86h11v86z" />
      <circle class="hub" cx="240" cy="190" r="32" />
      <circle class="hub" cx="240" cy="190" r="12" />
      <circle class="dial" cx="240" cy="26" r="15" />
      <path class="needle" d="M240 26l9 -7" />
      <circle class="dial" cx="264" cy="80" r="12" />
      <path class="needle" d="M264 80l4 -8" />
      <text x="218" y="31" class="end">{{ w.rim }}</text>
      <text x="246" y="104" class="end">{{ w.face }}</text>
      <text v-for="(line, i) in w.still" :key="line" x="240" :y="262 + i * 19" class="middle">
        {{ line }}
      </text>
    </svg>
    <template v-for="dial in DIALS" :key="dial">
      <div
        v-for="clock in clocks"
        :key="clock"
        :class="[
          'at',
          dial,
          area(clock),
          { ringed: ringed?.some((r) => r.dial === dial && r.clock === clock) },
        ]"
      >
        <span v-if="dial === 'rim'" class="hour figure" aria-hidden="true">{{ hour(clock) }}</span>
        <slot name="box" :dial="dial" :clock="clock" />
        <small v-if="dial === 'rim' && clock === zero">{{ w.zero }}</small>
      </div>
    </template>
  </div>
</template>

<style scoped>
.tram {
  position: relative;
  width: 100%;
  max-width: 600px;
  min-width: 0;
  margin: 0 auto;
  aspect-ratio: 480 / 366;
  container-type: inline-size;
}
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.drum {
  fill: #24296a;
  stroke: #fff;
  stroke-width: 2;
}
.lip {
  fill: none;
  stroke: var(--dye-line);
}
.rod {
  fill: #2d3380;
  stroke: var(--scribe);
}
.hub,
.dial {
  fill: var(--dye-deep);
  stroke: #fff;
  stroke-width: 2;
}
.needle {
  stroke: #fff;
  stroke-width: 2;
}
.stand {
  fill: none;
  stroke: var(--dye-line);
  stroke-width: 1.5;
}
text {
  fill: var(--scribe-dim);
  font-size: 15px;
}
.end {
  text-anchor: end;
}
.middle {
  text-anchor: middle;
}
.at {
  position: absolute;
  width: 19.5cqw;
  min-width: 62px;
  translate: -50% -50%;
  text-align: center;
}
.at.face {
  width: 16cqw;
  min-width: 56px;
}
.rim.top {
  left: 65%;
  top: 7%;
}
.rim.right {
  left: 89.5%;
  top: 52%;
}
.rim.left {
  left: 10.5%;
  top: 52%;
}
.rim.bottom {
  left: 50%;
  top: 95%;
}
.face.top {
  left: 66%;
  top: 31%;
}
.face.right {
  left: 66.5%;
  top: 52%;
}
.face.left {
  left: 33.5%;
  top: 52%;
}
.face.bottom {
  left: 50%;
  top: 82%;
}
.hour {
  position: absolute;
  color: var(--scribe-dim);
}
.left .hour,
.right .hour {
  bottom: calc(100% + 2px);
  left: 50%;
  translate: -50%;
}
.top .hour {
  left: calc(100% + 8px);
  top: 24%;
}
.bottom .hour {
  left: calc(100% + 8px);
  top: 24%;
}
small {
  display: block;
  color: var(--scribe-dim);
  font-size: 13px;
  white-space: nowrap;
}
.ringed :deep(.el-input__wrapper),
.ringed :deep(.shown) {
  box-shadow:
    0 0 0 2px var(--out-on-dye) inset,
    0 0 0 3px color-mix(in srgb, var(--out-on-dye) 35%, transparent);
}
</style>
