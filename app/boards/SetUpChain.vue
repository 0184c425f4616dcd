<script setup lang="ts">
import { drawingsWords } from '~~/shared/wording/en'
import { along } from '~~/shared/drawing/along'

/**
 * The distances as they are taped, drawn to scale along the shafts as soon as they are typed, with their boxes where they
 * lie: at the hubs above, between the feet below. Millimetres.
 */
const props = defineProps<{
  dials: readonly {
    readonly carriedBy: 'movable' | 'stationary'
    /** Distance of the plane it runs on from the coupling centre. */
    readonly at: number | null
    readonly circle: number | null
    readonly face?: { readonly plunger: 'away' | 'back' }
  }[]
  /** Distance of each foot pair from the centre, nearest first. */
  feet: readonly (number | null)[]
  movableName: string
  stationaryName: string
}>()
const words = useWords()
const drawings = drawingsWords(words)
const W = 700
const H = 156
const AXIS = 90

const near = computed(() => props.feet[0] ?? 300)
const places = computed(() =>
  props.feet.map((x, i) => x ?? near.value * (1 + (1.6 * i) / Math.max(1, props.feet.length - 1))),
)
const far = computed(() => Math.max(...places.value, near.value * 1.2))
const x = computed(() => along([-far.value * 0.78, far.value * 1.1], [10, W - 10]))
const inside = (at: number) => Math.min(W - 20, Math.max(20, at))
const drawn = computed(() =>
  props.dials.map((d, i) => {
    // The tip runs on the other machine's hub; the post stands on the carrier's.
    const side = d.carriedBy === 'movable' ? -1 : 1
    const reach = d.circle === null ? 22 : Math.min(27, Math.max(18, (d.circle / far.value) * 120))
    const faceAt = x.value(0) + side * (d.face?.plunger === 'back' ? 36 : 8)
    return {
      key: i,
      post: x.value(-side * near.value * 0.16),
      tip: inside(x.value(side * (d.at ?? near.value * 0.12))),
      top: 22 + i * 9,
      face: d.face ? { at: faceAt, y: AXIS + reach } : null,
    }
  }),
)
/** Where the halves of the strip over the drawing meet, and where the feet begin, in percent. */
const middle = computed(() => `${((100 * x.value(0)) / W).toFixed(1)}%`)
const spans = computed(() =>
  places.value.map((at, i) => ({
    from: x.value(places.value[i - 1] ?? 0),
    to: x.value(at),
  })),
)
</script>

<template>
  <div class="drawn" :style="{ '--middle': middle }">
    <div class="hubs">
      <div class="half"><slot name="stationary" /></div>
      <div class="half"><slot name="movable" /></div>
    </div>
    <svg :viewBox="`0 0 ${W} ${H}`" class="chain" role="img" :aria-label="drawings.taped">
      <g fill="none" stroke="#DCE3FF" stroke-width="1.5">
        <path :d="`M10 ${AXIS}H${x(0) - 8}`" stroke-width="3" />
        <path :d="`M${x(0) + 8} ${AXIS}H${x(near) - 14}`" stroke-width="3" />
        <rect :x="x(0) - 34" :y="AXIS - 30" width="26" height="60" />
        <rect :x="x(0) + 8" :y="AXIS - 30" width="26" height="60" />
        <rect :x="x(near) - 14" :y="AXIS - 34" :width="x(far) - x(near) + 28" height="68" rx="3" />
        <path :d="`M10 ${AXIS + 34}V${AXIS - 38}H${Math.max(24, x(-far * 0.26))}V${AXIS + 34}`" />
      </g>
      <g v-for="d in drawn" :key="d.key" fill="none" stroke="#E0B04A" stroke-width="2">
        <path :d="`M${d.post} ${AXIS}V${d.top}H${d.tip}V${AXIS - 33}`" />
        <path :d="`M${d.tip} 0V${d.top + 6}`" stroke-width="1" stroke-dasharray="3 3" />
        <circle :cx="d.tip" :cy="d.top + 14" r="8" fill="#15183F" />
        <template v-if="d.face">
          <path :d="`M${d.post} ${d.face.y}V${AXIS}M${d.post} ${d.face.y}H${d.face.at}`" />
          <circle :cx="(d.post + d.face.at) / 2" :cy="d.face.y" r="7" fill="#15183F" />
        </template>
      </g>
      <g fill="#DCE3FF">
        <path v-for="(f, i) in places" :key="i" :d="`M${x(f) - 11} ${AXIS + 48}h22l-5 -14h-12z`" />
      </g>
      <path :d="`M${x(0)} ${AXIS + 34}V${H}`" stroke="#8F9AD6" stroke-dasharray="5 4" />
      <path
        v-for="(s, i) in spans"
        :key="i"
        :d="`M${s.from} 148H${s.to}M${s.from} 142v12M${s.to} 142v12`"
        stroke="#8F9AD6"
        fill="none"
      />
      <g fill="#DCE3FF" font-size="15">
        <text :x="x(near)" :y="AXIS + 5">{{ movableName }}</text>
        <text x="18" :y="AXIS + 50" font-size="14">{{ stationaryName }}</text>
      </g>
    </svg>
    <div class="spans">
      <div v-for="(s, i) in spans" :key="i" class="span" :style="{ flexGrow: Math.max(1, s.to - s.from) }">
        <slot name="span" :at="i" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.chain {
  display: block;
  width: 100%;
  min-height: min(110px, 8.5vh);
  max-height: 152px;
}
.hubs {
  display: grid;
  grid-template-columns: var(--middle) 1fr;
  align-items: start;
}
.half {
  display: flex;
  flex-wrap: wrap;
  justify-content: end;
  gap: 8px 12px;
  padding-right: 7px;
}
.half:first-child {
  flex-direction: row-reverse;
  justify-content: flex-start;
}
.half + .half {
  justify-content: start;
  padding: 0 0 0 7px;
}
.half > :deep(*) {
  width: 126px;
}
.half :deep(label),
.span :deep(label) {
  display: flex;
  align-items: end;
  min-height: 2.5em;
}
.spans {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding-left: var(--middle);
}
.span {
  flex-basis: 132px;
  max-width: 100%;
  display: grid;
  justify-items: center;
}
.span > :deep(*) {
  width: 132px;
}
@media (max-width: 640px) {
  .hubs,
  .half {
    display: contents;
  }
  .drawn {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px 14px;
    align-items: end;
  }
  .chain,
  .spans {
    grid-column: 1 / -1;
    order: 1;
  }
  .spans {
    padding-left: 0;
    display: grid;
    grid-template-columns: 1fr 1fr;
  }
  .half > :deep(*),
  .span > :deep(*) {
    width: auto;
  }
  .span {
    justify-items: stretch;
  }
}
</style>
