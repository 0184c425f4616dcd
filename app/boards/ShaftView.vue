<script setup lang="ts">
import { directionsWords, drawingsWords, feetWords, targetsWords } from '~~/shared/wording/en'
import type { Misalignment, Plane } from '~~/core/frame/planes'
import type { SettledTolerance } from '~~/core/judge/tolerance'
import { keyOfPair, type MachineRole } from '~~/core/plan/pairNames'
import { layOutShafts, PLAN_VIEW, softBand, type ShaftLines } from '~~/shared/drawing/shaftLines'
import { offsetWords, shimWords, sideWords } from '~~/shared/wording/directions'
import { figure } from '~~/shared/wording/figures'
import { pairName, type Telling } from '~~/shared/wording/telling'

interface Foot {
  readonly machine: MachineRole
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
  /** Where each axis lies after the plan, told from where the stationary one lies now. */
  axes: { readonly movable: Misalignment; readonly stationary: Misalignment }
  /** Half of the 95 % interval of where the axis stands at x; drawn as a soft band. */
  doubt?: (x: number) => number
  /** Of each machine that may be moved. */
  feet: readonly Foot[]
  /** Feet of the movable machine where it stays. */
  still?: readonly { readonly id: string; readonly x: number }[]
  stationaryName: string
  /** Shared by both views. */
  exaggeration: number
  /** Next value that this foot (by `keyOfPair`) can really take, from here, one step up or down. */
  step: (foot: string, plane: Plane, by: 1 | -1) => number
  /** Nearest value that this foot can really take. */
  nearest: (foot: string, plane: Plane, wanted: number) => number
  locked: boolean
  telling: Telling
}>()
const emit = defineEmits<{ move: [foot: string, plane: Plane, value: number] }>()
const w = computed(() => drawingsWords(props.telling.words))
const { width: W, height: H } = PLAN_VIEW

const own = computed(() => {
  const movable = props.feet.filter((foot) => foot.machine === 'movable')
  return movable.length > 0 ? movable : (props.still ?? [])
})
const driven = computed(() => props.feet.filter((foot) => foot.machine === 'stationary'))
const lay = (line: Misalignment, ground?: Misalignment) =>
  layOutShafts({
    plane: props.plane,
    feet: own.value,
    driven: driven.value.length > 0 ? driven.value : undefined,
    tolerance: props.tolerance,
    target: props.target,
    ground,
    width: W,
    height: H,
    exaggeration: props.exaggeration,
    line,
  })
const now = computed(() => lay(props.found))
const after = computed(() => lay(props.axes.movable, props.axes.stationary))
const band = computed(() =>
  props.doubt
    ? softBand(now.value, props.found, Math.max(...own.value.map((foot) => foot.x)), props.doubt)
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
const offsetAfter = computed(
  () => (props.axes.movable.offset[props.plane] ?? 0) - (props.axes.stationary.offset[props.plane] ?? 0),
)
const inGate = computed(() => {
  const g = now.value.gate
  if (!g) return true
  const drawn = now.value.y(offsetNow.value)
  return drawn >= g.top - 1e-6 && drawn <= g.bottom + 1e-6
})
const tone = computed(() => (inGate.value ? '#58D3BE' : '#FF8FA3'))
/** The gate stands about where the stationary shaft is to end; its words on the side where the other does not start. */
const gateAt = computed(() => {
  const { gate: g } = after.value
  const { zero } = now.value
  if (!g) return zero
  return now.value.movable.y1 > zero ? Math.max(20, g.top - 14) : Math.min(H - 8, g.bottom + 24)
})
/** The target's name stands between coupling and feet, on the side away from the shaft. */
const targetAt = computed(() => {
  const t = after.value.target
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
/** With feet of both machines side by side there is room for what is done there only. */
const said = (foot: Foot) => {
  const done = words(foot).replace(/ [\d.]+/, '')
  return driven.value.length > 0
    ? done.replace(directionsWords(props.telling.words).shim.leave, w.value.leave)
    : w.value.footMove(done, props.telling.footNames(foot.id))
}
/** What it is off by stands beside the coupling, on the side that has no feet near it. */
const offAt = computed(() => {
  const { y1 } = now.value.movable
  const below = y1 > now.value.zero
  return driven.value.length > 0
    ? { x: now.value.coupling + 14, anchor: 'start', y: y1 + (below ? -12 : 26) }
    : { x: now.value.coupling - 18, anchor: 'end', y: y1 + (below ? 20 : -8) }
})
const among = (sheet: ShaftLines, foot: Foot) =>
  (foot.machine === 'movable' ? sheet.feet : sheet.stationaryFeet).find((x) => x.id === foot.id)!
const footNow = (foot: Foot) => among(now.value, foot)
const footAfter = (foot: Foot) => among(after.value, foot)
/**
 * Figure and words of a foot stand on the side its handle moves away from, two lines apart from the
 * shaft; at the edges of the sheet they are drawn in.
 */
const label = (foot: Foot) => {
  const [at, to] = [footNow(foot), footAfter(foot)]
  const top = Math.min(at.y, to.y)
  const bottom = Math.max(at.y, to.y)
  const above = to.y > at.y || bottom > H - 64
  const y = above && top > 58 ? top - 42 : bottom < H - 58 ? bottom + 40 : top - 42
  const [last, first] = [at.x > W - 90, at.x < 90]
  const x = last ? W - 2 : first ? 2 : at.x
  return { x, anchor: last ? 'end' : first ? 'start' : 'middle', y: Math.max(22, Math.min(H - 24, y)) }
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
  dragging.value = keyOfPair(foot)
  ;(event.target as Element).setPointerCapture(event.pointerId)
}
const drag = (foot: Foot, event: PointerEvent) => {
  const at = keyOfPair(foot)
  if (dragging.value !== at) return
  const wanted = now.value.displacementAt(toDrawing(event)) - footNow(foot).at
  const value = props.nearest(at, props.plane, wanted)
  if (value !== moveOf(foot)) emit('move', at, props.plane, value)
}
const key = (foot: Foot, event: KeyboardEvent) => {
  const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0
  if (by === 0 || props.locked) return
  event.preventDefault()
  emit('move', keyOfPair(foot), props.plane, props.step(keyOfPair(foot), props.plane, by))
}
const title = computed(() => directionsWords(props.telling.words).views[props.plane])
const planeName = computed(() => directionsWords(props.telling.words).planes[props.plane])
</script>

<template>
  <div class="view">
    <div class="head">
      <h3>{{ title }}</h3>
      <p>{{ w.tallerThanLong(exaggeration, directionsWords(telling.words).viewNotes[plane]) }}</p>
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
      <text :x="12" :y="driven.length > 0 ? 18 : now.zero - 54" fill="#A3AEE0" font-size="14">
        {{ stationaryName }}
      </text>
      <path :d="`M0 ${now.zero}H${now.coupling}`" stroke="#FFFFFF" stroke-width="2.5" />
      <path :d="`M${now.coupling} ${now.zero}H${W}`" stroke="#8F9AD6" stroke-dasharray="7 5" />
      <path v-for="t in now.ticks" :key="t" :d="`M${t} ${now.zero - 4}v8`" stroke="#8F9AD6" />
      <g v-if="after.gate" stroke="#58D3BE" stroke-width="2" fill="none">
        <path :d="`M${now.coupling - 10} ${after.gate.top}h20m-10 0v-9`" />
        <path :d="`M${now.coupling - 10} ${after.gate.bottom}h20m-10 0v9`" />
      </g>
      <path v-if="band" :d="band" fill="#DCE3FF" fill-opacity="0.16" />
      <g v-if="after.target">
        <path
          :d="`M${after.target.x1} ${after.target.y1}L${after.target.x2} ${after.target.y2}`"
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
          {{ targetsWords(telling.words).view.setTo }}
        </text>
      </g>
      <!-- as measured, and as it would stand -->
      <path
        :d="`M${now.movable.x1} ${now.movable.y1}L${now.movable.x2} ${now.movable.y2}`"
        stroke="#FFFFFF"
        stroke-width="2.5"
      />
      <path
        v-for="line in driven.length > 0 ? [after.stationary, after.movable] : [after.movable]"
        :key="line.x1"
        :d="`M${line.x1} ${line.y1}L${line.x2} ${line.y2}`"
        stroke="#E0B04A"
        stroke-width="2"
        stroke-dasharray="10 5"
        class="after"
      />
      <circle :cx="now.coupling" :cy="now.movable.y1" r="5" :fill="tone" />
      <g paint-order="stroke" stroke="#1F2358" stroke-width="5" stroke-linejoin="round">
        <text
          :x="driven.length > 0 ? now.coupling + 14 : now.coupling"
          :y="gateAt"
          :text-anchor="driven.length > 0 ? 'start' : 'middle'"
          font-size="14"
          fill="#58D3BE"
        >
          {{ gateWords }}
        </text>
        <text
          class="figure"
          :x="offAt.x"
          :y="offAt.y"
          font-size="19"
          :text-anchor="offAt.anchor"
          :fill="tone"
        >
          {{ f(offsetNow, { sign: true }) }}
        </text>
      </g>
      <circle
        v-for="foot in still ? now.feet : []"
        :key="foot.id"
        :cx="foot.x"
        :cy="foot.y"
        r="3.5"
        fill="#FFFFFF"
      />
      <g v-for="foot in feet" :key="keyOfPair(foot)">
        <path
          v-if="Math.abs(moveOf(foot)) > 1e-9"
          :d="`M${footNow(foot).x} ${footNow(foot).y}V${footAfter(foot).y}`"
          stroke="#E0B04A"
          stroke-width="2"
        />
        <circle :cx="footNow(foot).x" :cy="footNow(foot).y" r="3.5" fill="#FFFFFF" />
        <g
          class="handle"
          :class="{ locked }"
          tabindex="0"
          role="slider"
          :aria-label="w.footInPlane(feetWords(telling.words).feet(pairName(telling, foot)), planeName)"
          :aria-valuenow="Number(f(moveOf(foot)).replace('−', '-'))"
          :aria-valuetext="words(foot)"
          :aria-disabled="locked"
          @pointerdown="start(foot, $event)"
          @pointermove="drag(foot, $event)"
          @pointerup="dragging = ''"
          @pointercancel="dragging = ''"
          @keydown="key(foot, $event)"
        >
          <circle :cx="footAfter(foot).x" :cy="footAfter(foot).y" r="22" fill="transparent" />
          <circle
            :cx="footAfter(foot).x"
            :cy="footAfter(foot).y"
            r="12"
            fill="#15183F"
            stroke="#E0B04A"
            stroke-width="2.5"
          />
          <path
            :d="`M${footAfter(foot).x - 4} ${footAfter(foot).y - 3}l4 -4 4 4m-8 6l4 4 4 -4`"
            stroke="#FFFFFF"
            stroke-width="1.6"
            fill="none"
          />
        </g>
        <g
          :text-anchor="label(foot).anchor"
          paint-order="stroke"
          stroke="#1F2358"
          stroke-width="5"
          stroke-linejoin="round"
        >
          <text
            class="figure"
            :x="label(foot).x"
            :y="label(foot).y"
            font-size="22"
            font-weight="600"
            fill="#E0B04A"
          >
            {{ f(plane === 'v' ? moveOf(foot) : Math.abs(moveOf(foot)), { sign: plane === 'v' }) }}
          </text>
          <text :x="label(foot).x" :y="label(foot).y + 19" font-size="14" fill="#DCE3FF">
            {{ said(foot) }}
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
