<script setup lang="ts">
import type { Misalignment, Plane } from '~~/core/frame/planes'
import type { SettledTolerance } from '~~/core/judge/tolerance'
import { layOutShafts, PLAN_VIEW, softBand } from '~~/shared/drawing/shaftLines'
import { offsetWords, shimWords, sideWords } from '~~/shared/wording/directions'
import { figure } from '~~/shared/wording/figures'
import type { Telling } from '~~/shared/wording/telling'

interface Foot {
  readonly id: string
  readonly x: number
  readonly v: number
  readonly h: number
}

/** One view of the scribe board: where the shafts stand, the gate, and feet that can be dragged. */
const props = defineProps<{
  plane: Plane
  tolerance: SettledTolerance
  /** Where it is to lie cold. */
  target?: Misalignment
  found: Misalignment
  predicted: Misalignment
  /** Half of the 95 % interval of where the axis stands at x; drawn as a soft band. */
  doubt?: (x: number) => number
  feet: readonly Foot[]
  stationaryName: string
  /** Shared by both views. */
  exaggeration: number
  /** Next value that this foot can really take, from here, one step up or down. */
  step: (foot: string, plane: Plane, by: 1 | -1) => number
  /** Nearest value that this foot can really take. */
  nearest: (foot: string, plane: Plane, wanted: number) => number
  locked: boolean
  telling: Telling
}>()
const emit = defineEmits<{ move: [foot: string, plane: Plane, value: number] }>()
const w = computed(() => props.telling.words.drawings)
const { width: W, height: H } = PLAN_VIEW

const lay = (line: Misalignment) =>
  layOutShafts({
    plane: props.plane,
    feet: props.feet,
    tolerance: props.tolerance,
    target: props.target,
    width: W,
    height: H,
    exaggeration: props.exaggeration,
    line,
  })
const now = computed(() => lay(props.found))
const after = computed(() => lay(props.predicted))
const band = computed(() =>
  props.doubt
    ? softBand(now.value, props.found, Math.max(...props.feet.map((foot) => foot.x)), props.doubt)
    : '',
)
const f = (x: number, options = {}) => figure(x, 'displacement', props.telling.units, options)
const gateWords = computed(() => {
  const g = now.value.gate
  if (!g) return ''
  const [top, bottom] = [now.value.displacementAt(g.top), now.value.displacementAt(g.bottom)]
  return w.value.gate(f((top - bottom) / 2, { unit: true }))
})
const offsetNow = computed(() => props.found.offset[props.plane] ?? 0)
const offsetAfter = computed(() => props.predicted.offset[props.plane] ?? 0)
const inGate = computed(() => {
  const g = now.value.gate
  if (!g) return true
  const drawn = now.value.y(offsetNow.value)
  return drawn >= g.top - 1e-6 && drawn <= g.bottom + 1e-6
})
const tone = computed(() => (inGate.value ? '#58D3BE' : '#FF8FA3'))
/** The gate's words stand on the side of the zero line where the shaft does not start. */
const gateAt = computed(() => {
  const g = now.value.gate
  const { zero } = now.value
  if (!g) return zero
  return now.value.movable.y1 > zero ? Math.max(20, g.top - 14) : Math.min(H - 8, g.bottom + 24)
})
/** The target's name stands between coupling and feet, on the side away from the shaft. */
const targetAt = computed(() => {
  const t = now.value.target
  if (!t) return { x: 0, y: 0 }
  const share = 0.16
  const at = (l: { y1: number; y2: number }) => l.y1 + share * (l.y2 - l.y1)
  const below = at(t) >= at(now.value.movable)
  return {
    x: t.x1 + share * (t.x2 - t.x1),
    y: Math.max(16, Math.min(H - 8, at(t) + (below ? 20 : -10))),
  }
})
const moveOf = (foot: Foot) => (props.plane === 'v' ? foot.v : foot.h)
const words = (foot: Foot) =>
  props.plane === 'v' ? shimWords(moveOf(foot), props.telling) : sideWords(moveOf(foot), props.telling)
const footNow = (id: string) => now.value.feet.find((x) => x.id === id)!
const footAfter = (id: string) => after.value.feet.find((x) => x.id === id)!
/**
 * Figure and words of a foot stand on the side its handle moves away from, two lines apart from the
 * shaft; at the edges of the sheet they are drawn in.
 */
const label = (id: string) => {
  const [at, to] = [footNow(id), footAfter(id)]
  const top = Math.min(at.y, to.y)
  const bottom = Math.max(at.y, to.y)
  const above = to.y > at.y || bottom > H - 64
  const y = above && top > 58 ? top - 42 : bottom < H - 58 ? bottom + 40 : top - 42
  const edge = at.x > W - 90
  return { x: edge ? W - 2 : at.x, anchor: edge ? 'end' : 'middle', y: Math.max(22, Math.min(H - 24, y)) }
}

const svg = useTemplateRef<SVGSVGElement>('svg')
const dragging = ref('')
const toDrawing = (event: PointerEvent) => {
  const el = svg.value
  const matrix = el?.getScreenCTM()
  if (!el || !matrix) return 0
  return new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse()).y
}
const start = (foot: Foot, event: PointerEvent) => {
  if (props.locked) return
  dragging.value = foot.id
  ;(event.target as Element).setPointerCapture(event.pointerId)
}
const drag = (foot: Foot, event: PointerEvent) => {
  if (dragging.value !== foot.id) return
  const wanted = now.value.displacementAt(toDrawing(event)) - footNow(foot.id).at
  const value = props.nearest(foot.id, props.plane, wanted)
  if (value !== moveOf(foot)) emit('move', foot.id, props.plane, value)
}
const key = (foot: Foot, event: KeyboardEvent) => {
  const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0
  if (by === 0 || props.locked) return
  event.preventDefault()
  emit('move', foot.id, props.plane, props.step(foot.id, props.plane, by))
}
const title = computed(() => props.telling.words.directions.views[props.plane])
const planeName = computed(() => props.telling.words.directions.planes[props.plane])
</script>

<template>
  <div class="view">
    <div class="head">
      <h3>{{ title }}</h3>
      <p>{{ w.tallerThanLong(exaggeration, telling.words.directions.viewNotes[plane]) }}</p>
    </div>
    <svg ref="svg" :viewBox="`0 0 ${W} ${H}`" :aria-label="title" role="group">
      <rect
        :x="12"
        :y="now.zero - 44"
        :width="now.coupling * 0.42"
        height="88"
        rx="3"
        fill="none"
        stroke="#A3AEE0"
      />
      <text :x="12" :y="now.zero - 54" fill="#A3AEE0" font-size="14">{{ stationaryName }}</text>
      <path :d="`M0 ${now.zero}H${now.coupling}`" stroke="#FFFFFF" stroke-width="2.5" />
      <path :d="`M${now.coupling} ${now.zero}H${W}`" stroke="#8F9AD6" stroke-dasharray="7 5" />
      <path v-for="t in now.ticks" :key="t" :d="`M${t} ${now.zero - 4}v8`" stroke="#8F9AD6" />
      <g v-if="now.gate" stroke="#58D3BE" stroke-width="2" fill="none">
        <path :d="`M${now.coupling - 10} ${now.gate.top}h20m-10 0v-9`" />
        <path :d="`M${now.coupling - 10} ${now.gate.bottom}h20m-10 0v9`" />
      </g>
      <path v-if="band" :d="band" fill="#DCE3FF" fill-opacity="0.16" />
      <g v-if="now.target">
        <path
          :d="`M${now.target.x1} ${now.target.y1}L${now.target.x2} ${now.target.y2}`"
          stroke="#DCE3FF"
          stroke-width="1.6"
          stroke-dasharray="3 6"
        />
        <text
          :x="targetAt.x"
          :y="targetAt.y"
          font-size="14"
          fill="#A3AEE0"
          paint-order="stroke"
          stroke="#1F2358"
          stroke-width="5"
        >
          {{ telling.words.targets.view.setTo }}
        </text>
      </g>
      <!-- as measured, and as it would stand -->
      <path
        :d="`M${now.movable.x1} ${now.movable.y1}L${now.movable.x2} ${now.movable.y2}`"
        stroke="#FFFFFF"
        stroke-width="2.5"
      />
      <path
        :d="`M${after.movable.x1} ${after.movable.y1}L${after.movable.x2} ${after.movable.y2}`"
        stroke="#E0B04A"
        stroke-width="2"
        stroke-dasharray="10 5"
        class="after"
      />
      <circle :cx="now.coupling" :cy="now.movable.y1" r="5" :fill="tone" />
      <g paint-order="stroke" stroke="#1F2358" stroke-width="5" stroke-linejoin="round">
        <text :x="now.coupling" :y="gateAt" text-anchor="middle" font-size="14" fill="#58D3BE">
          {{ gateWords }}
        </text>
        <text
          class="figure"
          :x="now.coupling - 18"
          :y="now.movable.y1 + (now.movable.y1 > now.zero ? 20 : -8)"
          font-size="19"
          text-anchor="end"
          :fill="tone"
        >
          {{ f(offsetNow, { sign: true }) }}
        </text>
      </g>
      <g v-for="foot in feet" :key="foot.id">
        <path
          v-if="Math.abs(moveOf(foot)) > 1e-9"
          :d="`M${footNow(foot.id).x} ${footNow(foot.id).y}V${footAfter(foot.id).y}`"
          stroke="#E0B04A"
          stroke-width="2"
        />
        <circle :cx="footNow(foot.id).x" :cy="footNow(foot.id).y" r="3.5" fill="#FFFFFF" />
        <g
          class="handle"
          :class="{ locked }"
          tabindex="0"
          role="slider"
          :aria-label="w.footInPlane(telling.words.feet.feet(telling.footNames(foot.id)), planeName)"
          :aria-valuenow="Number(f(moveOf(foot)).replace('−', '-'))"
          :aria-valuetext="words(foot)"
          :aria-disabled="locked"
          @pointerdown="start(foot, $event)"
          @pointermove="drag(foot, $event)"
          @pointerup="dragging = ''"
          @pointercancel="dragging = ''"
          @keydown="key(foot, $event)"
        >
          <circle :cx="footAfter(foot.id).x" :cy="footAfter(foot.id).y" r="22" fill="transparent" />
          <circle
            :cx="footAfter(foot.id).x"
            :cy="footAfter(foot.id).y"
            r="12"
            fill="#15183F"
            stroke="#E0B04A"
            stroke-width="2.5"
          />
          <path
            :d="`M${footAfter(foot.id).x - 4} ${footAfter(foot.id).y - 3}l4 -4 4 4m-8 6l4 4 4 -4`"
            stroke="#FFFFFF"
            stroke-width="1.6"
            fill="none"
          />
        </g>
        <g
          :text-anchor="label(foot.id).anchor"
          paint-order="stroke"
          stroke="#1F2358"
          stroke-width="5"
          stroke-linejoin="round"
        >
          <text
            class="figure"
            :x="label(foot.id).x"
            :y="label(foot.id).y"
            font-size="22"
            font-weight="600"
            fill="#E0B04A"
          >
            {{ f(plane === 'v' ? moveOf(foot) : Math.abs(moveOf(foot)), { sign: plane === 'v' }) }}
          </text>
          <text :x="label(foot.id).x" :y="label(foot.id).y + 19" font-size="14" fill="#DCE3FF">
            {{ w.footMove(words(foot).replace(/ [\d.]+/, ''), telling.footNames(foot.id)) }}
          </text>
        </g>
      </g>
    </svg>
    <p class="visually-hidden">
      {{ w.nowAndAfter(offsetWords(offsetNow, plane, telling), offsetWords(offsetAfter, plane, telling)) }}
    </p>
  </div>
</template>

<style scoped>
.view {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.head {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
}
h3 {
  font-size: 17px;
  color: #fff;
}
.head p {
  font-size: 14px;
  color: var(--scribe-dim);
}
svg {
  flex: 1;
  min-height: 0;
  width: 100%;
  touch-action: pan-x;
}
.handle {
  cursor: ns-resize;
}
.handle.locked {
  cursor: default;
}
.after {
  transition: d 160ms ease-out;
}
</style>
