<script setup lang="ts">
import { HUBS, type DrawnHubs } from '~~/shared/stages/roughIn/drawing'

/** Two hubs seen along one plane: the faces in the middle where their gaps are felt, the straightedge on top, the feelers under it. */
const props = defineProps<{
  hubs: DrawnHubs
  stationaryName: string
  movableName: string
  title: string
  /** A first look that waits. */
  dim?: boolean
}>()
const { width: W, height: H, hub, stationary: S, movable: M, length: L } = HUBS
const mid = H / 2
const top = mid - hub / 2
const face = computed(() => mid - props.hubs.step)
const turned = computed(() => `rotate(${-props.hubs.turn} ${M} ${face.value})`)
/** Lies on the higher hub; on the moved one it follows its axis. */
const edge = computed(() =>
  props.hubs.edgeOn === 'stationary'
    ? { y: top, transform: '' }
    : { y: face.value - hub / 2, transform: turned.value },
)
const feeler = computed(() => {
  const rise = props.hubs.step
  return rise === 0
    ? null
    : props.hubs.edgeOn === 'stationary'
      ? { x: M + 4, y: top, height: -rise, width: 42 }
      : { x: S - 46, y: top - rise, height: rise, width: 42 }
})
</script>

<template>
  <svg :viewBox="`0 0 ${W} ${H}`" :class="{ dim }" role="img" :aria-label="title">
    <line class="axis" x1="0" :y1="mid" :x2="S" :y2="mid" />
    <g class="hub">
      <rect :x="S - L" :y="top" :width="L" :height="hub" />
      <path :d="`M0 ${mid - 22}H${S - L}M0 ${mid + 22}H${S - L}`" />
    </g>
    <g class="hub moved" :transform="turned">
      <rect :x="M" :y="face - hub / 2" :width="L" :height="hub" />
      <path :d="`M${M + L} ${face - 22}H${W + 20}M${M + L} ${face + 22}H${W + 20}`" />
      <line class="axis" :x1="M" :y1="face" :x2="W + 20" :y2="face" />
    </g>
    <rect v-if="feeler" class="feeler" v-bind="feeler" />
    <rect
      class="edge"
      :x="S - L - 18"
      :y="edge.y - 9"
      :width="M - S + 2 * L + 20"
      height="9"
      :transform="edge.transform"
    />
    <text :x="S - L / 2" :y="mid + 36">{{ stationaryName }}</text>
    <text :x="M + L / 2" :y="Math.max(face, mid) + 36">{{ movableName }}</text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: 100%;
  overflow: hidden;
}
.hub rect,
.hub path {
  fill: #24296a;
  stroke: var(--scribe);
  stroke-width: 1.6;
}
.hub path {
  fill: none;
}
.axis {
  stroke: var(--scribe-dim);
  stroke-width: 1;
  stroke-dasharray: 14 4 3 4;
}
.edge {
  fill: #3a4196;
  stroke: var(--scribe);
  stroke-width: 1.2;
}
.feeler {
  fill: var(--scribe);
}
text {
  fill: var(--scribe);
  font-size: 15px;
  text-anchor: middle;
}
.dim .hub rect,
.dim .hub path,
.dim .edge {
  stroke: var(--scribe-dim);
}
.dim .feeler {
  fill: var(--scribe-dim);
}
.dim text {
  fill: var(--scribe-dim);
}
</style>
