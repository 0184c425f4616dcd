<script setup lang="ts">
import type { Misalignment, Plane } from '~~/core/frame/planes'
import { layOutShafts, reachOf } from '~~/shared/drawing/shaftLines'
import type { JobState } from '~~/core/logbook/foldJob'
import { figure } from '~~/shared/wording/figures'
import { offsetWords, shimWords, sideWords } from '~~/shared/wording/directions'
import type { PlannedFoot } from '~/composables/usePlanChoice'

/** One view of the scribe board: where the shafts stand, the gate, and feet that can be dragged. */
const props = defineProps<{
  plane: Plane
  state: JobState
  found: Misalignment
  predicted: Misalignment
  feet: readonly PlannedFoot[]
  stationaryName: string
  /** Next value that this foot can really take, from here, one step up or down. */
  step: (foot: string, plane: Plane, by: 1 | -1) => number
  /** Nearest value that this foot can really take. */
  nearest: (foot: string, plane: Plane, wanted: number) => number
  locked: boolean
}>()
const emit = defineEmits<{ move: [foot: string, plane: Plane, value: number] }>()
const session = useSession()
const W = 690
const H = 306

const reach = computed(
  () =>
    Math.max(
      reachOf(props.found, props.plane, props.feet, props.state.tolerance),
      reachOf(props.predicted, props.plane, props.feet, props.state.tolerance),
    ) * 1.08,
)
const common = computed(() => ({
  plane: props.plane,
  feet: props.feet,
  tolerance: props.state.tolerance,
  width: W,
  height: H,
  reach: reach.value,
}))
const now = computed(() => layOutShafts({ ...common.value, line: props.found }))
const after = computed(() => layOutShafts({ ...common.value, line: props.predicted }))
const gateWords = computed(() => {
  const g = now.value.gate
  if (!g) return ''
  return `gate ±${figure(now.value.displacementAt(g.top), 'displacement', session.units, { unit: true })}`
})
const offsetNow = computed(() => props.found.offset[props.plane] ?? 0)
const offsetAfter = computed(() => props.predicted.offset[props.plane] ?? 0)
const inGate = (v: number) => {
  const g = now.value.gate
  if (!g) return true
  const drawn = now.value.y(v)
  return drawn >= g.top - 1e-6 && drawn <= g.bottom + 1e-6
}
const moveOf = (foot: PlannedFoot) => (props.plane === 'v' ? foot.v : foot.h)
const words = (foot: PlannedFoot) =>
  props.plane === 'v' ? shimWords(moveOf(foot), session.units) : sideWords(moveOf(foot), session.units)
const footNow = (id: string) => now.value.feet.find((f) => f.id === id)!
const footAfter = (id: string) => after.value.feet.find((f) => f.id === id)!
/** Labels near the right edge end there, so that nothing is cut off. */
const labelAt = (id: string) => {
  const at = footNow(id).x
  return at > W - 96 ? { x: W - 2, anchor: 'end' } : { x: at, anchor: 'middle' }
}
const below = (id: string) => footAfter(id).y >= footNow(id).y

const svg = useTemplateRef<SVGSVGElement>('svg')
const dragging = ref('')
const toDrawing = (event: PointerEvent) => {
  const box = svg.value?.getBoundingClientRect()
  return box ? ((event.clientY - box.top) / box.height) * H : 0
}
const start = (foot: PlannedFoot, event: PointerEvent) => {
  if (props.locked) return
  dragging.value = foot.id
  ;(event.target as Element).setPointerCapture(event.pointerId)
}
const drag = (foot: PlannedFoot, event: PointerEvent) => {
  if (dragging.value !== foot.id) return
  const wanted = now.value.displacementAt(toDrawing(event)) - footNow(foot.id).at
  const value = props.nearest(foot.id, props.plane, wanted)
  if (value !== moveOf(foot)) emit('move', foot.id, props.plane, value)
}
const key = (foot: PlannedFoot, event: KeyboardEvent) => {
  const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0
  if (by === 0 || props.locked) return
  event.preventDefault()
  emit('move', foot.id, props.plane, props.step(foot.id, props.plane, by))
}
const title = computed(() => (props.plane === 'v' ? 'Side view' : 'Top view'))
const drawnNote = computed(
  () =>
    `drawn ${now.value.exaggeration}× taller than long · ${props.plane === 'v' ? '12 is up' : '3 o’clock is up'}`,
)
</script>

<template>
  <div class="view">
    <div class="head">
      <h3>{{ title }}</h3>
      <p>{{ drawnNote }}</p>
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
      <text
        :x="now.coupling - 16"
        :y="(now.gate?.top ?? now.zero) - 14"
        text-anchor="middle"
        font-size="14"
        fill="#58D3BE"
      >
        {{ gateWords }}
      </text>
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
      <circle
        :cx="now.coupling"
        :cy="now.movable.y1"
        r="5"
        :fill="inGate(offsetNow) ? '#58D3BE' : '#FF8FA3'"
      />
      <g class="figure" font-size="19" text-anchor="end">
        <text
          :x="now.coupling - 18"
          :y="now.movable.y1 + 6"
          :fill="inGate(offsetNow) ? '#58D3BE' : '#FF8FA3'"
        >
          {{ figure(offsetNow, 'displacement', session.units, { sign: true }) }}
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
          :aria-label="`${foot.id} feet, ${plane === 'v' ? 'height' : 'side'}`"
          :aria-valuenow="Number(figure(moveOf(foot), 'displacement', session.units).replace('−', '-'))"
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
        <g :text-anchor="labelAt(foot.id).anchor">
          <text
            class="figure"
            :x="labelAt(foot.id).x"
            :y="
              below(foot.id)
                ? Math.max(footNow(foot.id).y, 40) - 34
                : Math.min(footNow(foot.id).y, H - 44) + 34
            "
            font-size="22"
            font-weight="600"
            fill="#E0B04A"
          >
            {{
              figure(plane === 'v' ? moveOf(foot) : Math.abs(moveOf(foot)), 'displacement', session.units, {
                sign: plane === 'v',
              })
            }}
          </text>
          <text
            :x="labelAt(foot.id).x"
            :y="
              below(foot.id)
                ? Math.max(footNow(foot.id).y, 40) - 14
                : Math.min(footNow(foot.id).y, H - 44) + 52
            "
            font-size="14"
            fill="#DCE3FF"
          >
            {{ words(foot).replace(/ [\d.]+/, '') }}, {{ foot.id }}
          </text>
        </g>
      </g>
    </svg>
    <p class="visually-hidden">
      Now {{ offsetWords(offsetNow, plane, session.units) }}, after the plan
      {{ offsetWords(offsetAfter, plane, session.units) }}.
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
