<script setup lang="ts">
import type { Found, Place } from '~~/core/stages/look/entries'

/**
 * The opened machine from above, as the observer stands behind its far end: the coupling at the top. A mark at
 * each place, what is known of it by the mark's shape; the chosen one is ringed.
 */
const props = defineProps<{
  places: readonly { readonly place: Place; readonly found: Found | null }[]
  chosen: Place
  stationaryName: string
  movableName: string
}>()
const emit = defineEmits<{ choose: [place: Place] }>()

const otherEnd = useOtherEnd()
/** From behind the driven machine the whole map is turned half round. */
const HALF = 'rotate(180 150 161)'
const seen = (at: { readonly x: number; readonly y: number }) =>
  otherEnd ? { x: 300 - at.x, y: 322 - at.y } : at
const COUPLING = { x: 150, y: 78 }
const WHERE: Partial<Record<Place, { readonly x: number; readonly y: number }>> = {
  feet: { x: 70, y: 150 },
  pads: { x: 230, y: 150 },
  bolts: { x: 230, y: 250 },
  jacking: { x: 24, y: 250 },
  pins: { x: 70, y: 250 },
  base: { x: 150, y: 300 },
  pipe: { x: 258, y: 34 },
}
/** A motor upright on its flange, from the side. */
const UPRIGHT: typeof WHERE = {
  'flange-bolts': { x: 66, y: 168 },
  'flange-faces': { x: 234, y: 168 },
  spigot: { x: 150, y: 192 },
  pins: { x: 44, y: 216 },
  support: { x: 256, y: 262 },
}
const upright = computed(() => props.places.some((p) => p.place === 'flange-faces'))
const where = computed(() => (upright.value ? UPRIGHT : WHERE))
const coupling = computed(() => (upright.value ? { x: 150, y: 244 } : COUPLING))
/** The parts of the coupling share one mark: what is worst of them, or still unseen. */
const RANK = [null, 'to-report', 'put-right', 'fine'] as const
const marks = computed(() => {
  const parts = props.places.filter((p) => !where.value[p.place])
  const worst = RANK.find((r) => parts.some((p) => p.found === r)) ?? null
  const first =
    parts.find((p) => p.place === props.chosen) ?? parts.find((p) => p.found === worst) ?? parts[0]
  return [
    ...props.places.flatMap((p) => {
      const at = where.value[p.place]
      return at ? [{ ...p, ...seen(at), chosen: p.place === props.chosen }] : []
    }),
    ...(first
      ? [{ place: first.place, found: worst, ...seen(coupling.value), chosen: !where.value[props.chosen] }]
      : []),
  ]
})
</script>

<template>
  <svg viewBox="0 0 300 322" aria-hidden="true">
    <g v-if="upright">
      <rect class="body" x="102" y="12" width="96" height="140" rx="5" />
      <rect class="foot" x="54" y="152" width="192" height="16" />
      <rect class="ground" x="54" y="170" width="192" height="14" />
      <rect class="ground" x="62" y="184" width="18" height="96" />
      <rect class="ground" x="220" y="184" width="18" height="96" />
      <rect class="hub" x="124" y="218" width="52" height="20" />
      <rect class="hub" x="124" y="248" width="52" height="20" />
      <path class="shaft" d="M150 184V218M150 268V290" />
      <rect class="body" x="54" y="282" width="192" height="34" rx="3" />
    </g>
    <g v-else :transform="otherEnd ? HALF : undefined">
      <path class="pipe" d="M196 26H300M196 42H300M262 20v28" />
      <rect class="body" x="96" y="4" width="108" height="46" rx="3" />
      <path class="shaft" d="M150 50V66M150 92V116" />
      <rect class="hub" x="122" y="64" width="56" height="11" />
      <rect class="hub" x="122" y="81" width="56" height="11" />
      <rect class="ground" x="36" y="106" width="228" height="196" rx="3" />
      <template v-for="x in [50, 210]" :key="x">
        <rect v-for="y in [132, 232]" :key="y" class="foot" :x="x" :y="y" width="40" height="36" rx="2" />
      </template>
      <rect class="body" x="92" y="116" width="116" height="168" rx="4" />
      <path class="screw" d="M14 250H50" />
    </g>
    <text x="150" :y="upright || otherEnd ? 304 : 32">{{ stationaryName }}</text>
    <text x="150" :y="upright ? 84 : otherEnd ? 128 : 204">{{ movableName }}</text>
    <g
      v-for="m in marks"
      :key="m.place"
      class="mark"
      :class="[m.found ?? 'unseen', { chosen: m.chosen }]"
      :transform="`translate(${m.x} ${m.y})`"
      @click="emit('choose', m.place)"
    >
      <circle class="hit" r="22" />
      <circle class="ring" r="17" />
      <path v-if="m.found === 'to-report'" class="sign flag" d="M-6 10V-10L9 -5L-6 0" />
      <path v-else-if="m.found === 'fine'" class="sign" d="M-7 0L-2 6L8 -6" />
      <path v-else-if="m.found === 'put-right'" class="sign" d="M-7 0H7M0 -7V7" />
      <circle v-else class="sign empty" r="7" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-height: 322px;
}
.body,
.hub,
.foot {
  fill: var(--dye-deep);
  stroke: var(--scribe-dim);
}
.foot {
  stroke-width: 1.5;
}
.ground,
.shaft,
.screw,
.pipe {
  fill: none;
  stroke: var(--dye-line);
  stroke-width: 2;
}
.shaft {
  stroke: var(--scribe-dim);
  stroke-width: 8;
}
.screw {
  stroke: var(--scribe-dim);
  stroke-width: 5;
}
text {
  fill: var(--scribe-dim);
  font-size: 15px;
  text-anchor: middle;
}
.mark {
  cursor: pointer;
}
.hit {
  fill: transparent;
}
.ring {
  fill: var(--dye);
  stroke: var(--dye-line);
}
.sign {
  fill: none;
  stroke: var(--scribe);
  stroke-width: 2.5;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.flag {
  fill: var(--scribe);
}
.empty {
  stroke: var(--scribe-dim);
  stroke-width: 1.5;
  stroke-dasharray: 3 3;
}
.chosen .ring {
  stroke: var(--brass-on-dye);
  stroke-width: 3;
}
</style>
