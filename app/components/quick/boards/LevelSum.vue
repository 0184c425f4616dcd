<script setup lang="ts">
import { quickWords } from '~~/shared/wording/viewWords'
import { toCore } from '~~/core/units/unitSystem'
import { figure } from '~~/shared/wording/figures'

/** A shaft with a level on it and a feeler under the low end; what stands on the drawing is typed there. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const { mm, box } = useSumBoard()
const w = quickWords.level
/** As steep as can be drawn with the feet still on the sheet; nothing is tilted before it is known. */
const STEEPEST = 7
const slope = computed(() => {
  const [feeler, supported] = [mm('feeler', 'displacement'), mm('supportedLength', 'distance')]
  return feeler === null || supported === null || supported <= 0 ? null : feeler / supported
})
const tilt = computed(() =>
  slope.value === null ? 0 : Math.sign(slope.value) * Math.min(STEEPEST, 2 + 900 * Math.abs(slope.value)),
)
const steeper = computed(() =>
  slope.value === null || slope.value === 0
    ? ''
    : w.steeper(Math.max(1, Math.round(Math.tan((tilt.value * Math.PI) / 180) / slope.value))),
)
const shim = computed(() => {
  const found = (props.result as { shim?: number } | null)?.shim
  return found === undefined
    ? ''
    : figure(toCore(found, 'displacement', session.units), 'displacement', session.units, { unit: true })
})
</script>

<template>
  <div class="level-sum">
    <p class="note">{{ steeper }}</p>
    <svg viewBox="0 0 640 330" aria-hidden="true">
      <g :transform="`rotate(${-tilt} 600 250)`">
        <path class="body" d="M300 96H600V216H300Z" />
        <path class="shaft" d="M96 138H300V172H96Z" />
        <path class="axis" d="M84 155H616" />
        <path class="foot" d="M322 216h40l14 30h-68zM540 216h40l14 30h-68z" />
      </g>
      <rect class="tool" x="120" y="86" width="150" height="34" rx="4" />
      <rect class="vial" x="166" y="96" width="58" height="14" rx="7" />
      <circle class="bubble" cx="195" cy="103" r="6" />
      <path v-if="tilt !== 0" class="feeler" :d="tilt > 0 ? 'M120 122h26v12h-26z' : 'M244 122h26v12h-26z'" />
      <path v-if="shim" class="packed" :d="tilt >= 0 ? 'M318 288h60v10h-60z' : 'M538 288h60v10h-60z'" />
      <path class="ground" d="M20 300H620" />
      <path class="dimension" d="M146 60H270M146 52v16M270 52v16M340 268H560M340 260v16M560 260v16" />
      <text v-if="shim" class="shim" :x="tilt >= 0 ? 348 : 530" y="322">{{ w.under(shim) }}</text>
    </svg>
    <div class="boxes">
      <NumberBox class="feeler-box" v-bind="box('feeler', 'displacement')" :label="w.feeler" />
      <NumberBox class="supported-box" v-bind="box('supportedLength', 'distance')" :label="w.supported" />
      <NumberBox class="bolts-box" v-bind="box('boltSpacing', 'distance')" :label="w.bolts" />
    </div>
  </div>
</template>

<style scoped>
.level-sum {
  position: relative;
  max-width: 720px;
}
.note {
  color: var(--scribe-dim);
  font-size: 14px;
  min-height: 1.4em;
}
svg {
  display: block;
  width: 100%;
}
.body,
.shaft {
  fill: #24296a;
  stroke: var(--scribe);
  stroke-width: 1.6;
}
.axis,
.dimension {
  fill: none;
  stroke: var(--scribe-dim);
}
.axis {
  stroke-dasharray: 9 4 2 4;
}
.foot {
  fill: var(--scribe);
}
.tool {
  fill: var(--dye-deep);
  stroke: #fff;
  stroke-width: 2;
}
.vial {
  fill: none;
  stroke: var(--scribe-dim);
}
.bubble {
  fill: var(--in-on-dye);
}
.feeler,
.packed {
  fill: var(--brass-on-dye);
}
.ground {
  stroke: var(--scribe-dim);
}
.shim {
  fill: var(--brass-on-dye);
  font-size: 20px;
  text-anchor: middle;
}
.boxes {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 14px;
  align-items: end;
}
@media (max-width: 640px) {
  .boxes {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
