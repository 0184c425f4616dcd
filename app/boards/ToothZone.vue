<script setup lang="ts">
import { middleOf, type PaintedZone, type Run } from '~~/core/gear/contactFigures'
import type { VerdictOrUnknown } from '~~/core/judge/judge'
import {
  atPercent,
  FLANK,
  flankLabels,
  flankOutline,
  LABEL_LINES,
  middleAt,
  percentAt,
  zoneOutline,
} from '~~/shared/stages/contact/drawing'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { gearWords, verdictsWords } from '~~/shared/wording/en'
import { percentFigure } from '~~/shared/wording/gearContact'

/**
 * One flank seen from one side, the paint dragged on it by its two ends, or typed: percent of the face width. The zone
 * that is wanted is dashed, the paint of the round before faint.
 */
const props = defineProps<{
  run: Run
  zone: PaintedZone | null
  texts: { readonly from: string; readonly to: string }
  wanted: PaintedZone | null
  ghost?: PaintedZone | null
  ends: { readonly from: string; readonly to: string }
  /** How far the middle is off, and in words. */
  off: { readonly figure: string; readonly words: string } | null
  verdict: VerdictOrUnknown | null
  faults: Readonly<Record<string, string>>
  units: UnitSystem
  disabled: boolean
  /** Shown as it was read: no boxes to type in. */
  readOnly?: boolean
}>()
const emit = defineEmits<{
  zone: [zone: PaintedZone]
  type: [end: 'from' | 'to', text: string]
  clear: []
  enter: []
}>()
const words = useWords()
const w = gearWords(words)
const v = w.view
const svg = useTemplateRef<SVGSVGElement>('svg')
const boxes = useTemplateRef<{ focus: () => void }[]>('boxes')
defineExpose({ focus: () => boxes.value?.[0]?.focus() })

const at = (event: PointerEvent) => {
  const frame = svg.value!.getBoundingClientRect()
  return percentAt(((event.clientX - frame.left) * FLANK.width) / frame.width)
}
const ENDS = ['from', 'to'] as const
const dragging = ref<'from' | 'to' | null>(null)
/** Puts an end somewhere; pushed past the other one, it becomes the other. */
const put = (end: 'from' | 'to', p: number) => {
  if (!props.zone) return
  const [a, b] = props.zone
  const other = end === 'from' ? b : a
  if (p === other) return
  if (dragging.value) dragging.value = p < other ? 'from' : 'to'
  emit('zone', p < other ? [p, other] : [other, p])
}
const grab = (end: 'from' | 'to', event: PointerEvent) => {
  if (props.disabled) return
  dragging.value = end
  svg.value?.setPointerCapture(event.pointerId)
}
/** Where no paint is marked yet, a tap lays some round the finger. */
const NEW = 16
const tap = (event: PointerEvent) => {
  if (props.disabled || props.zone) return
  const p = at(event)
  emit('zone', [Math.max(0, p - NEW), Math.min(100, p + NEW)])
}
const move = (event: PointerEvent) => {
  if (dragging.value) put(dragging.value, at(event))
}
const key = (end: 'from' | 'to', event: KeyboardEvent) => {
  const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageDown: -5, PageUp: 5 }[event.key]
  if (by === undefined || !props.zone || props.disabled) return
  event.preventDefault()
  const now = end === 'from' ? props.zone[0] : props.zone[1]
  const p = Math.max(0, Math.min(100, now + by))
  const [a, b] = props.zone
  if (end === 'from' ? p < b : p > a) put(end, p)
}
const labels = computed(() => flankLabels(props.zone, props.wanted))
const middles = computed(() => ({
  paint: props.zone && atPercent(middleOf(props.zone)),
  wanted: props.wanted && atPercent(middleOf(props.wanted)),
}))
const outline = flankOutline()
const ticks = Array.from({ length: 11 }, (_, i) => atPercent(10 * i))
const says = computed(() =>
  [
    v.flank(w.runs[props.run], props.ends.from, props.ends.to),
    props.zone ? v.zone(percentFigure(props.zone[0]), percentFigure(props.zone[1])) : v.noPaint,
    props.wanted ? v.wantedZone(percentFigure(props.wanted[0]), percentFigure(props.wanted[1])) : '',
  ]
    .filter(Boolean)
    .join('; '),
)
const handleName = (end: 'from' | 'to') => (end === 'from' ? v.begins : v.ends)(w.runs[props.run])
</script>

<template>
  <section class="flank" :aria-label="w.runs[run]">
    <h3>
      <svg viewBox="0 0 24 24" class="way" aria-hidden="true">
        <path
          :d="run === 'forward' ? 'M4 15a8 8 0 0 1 15-3' : 'M20 15a8 8 0 0 0 -15-3'"
          fill="none"
          stroke="currentColor"
          stroke-width="2"
        />
        <path
          :d="run === 'forward' ? 'M14.5 11l5.5 5 3-7z' : 'M9.500 11l-5.500 5-3-7z'"
          fill="currentColor"
        />
      </svg>
      {{ w.runs[run] }}
      <span v-if="verdict && verdict !== 'unknown'" :class="['verdict', verdict]">
        <VerdictMark :mark="verdict" on-dye /> {{ verdictsWords(words)[verdict] }}
      </span>
    </h3>
    <svg
      ref="svg"
      class="drawn"
      :class="{ still: disabled, blank: !zone }"
      :viewBox="`0 0 ${FLANK.width} ${FLANK.axis + 22}`"
      role="group"
      :aria-label="says"
      @pointerdown="tap"
      @pointermove="move"
      @pointerup="dragging = null"
      @pointercancel="dragging = null"
    >
      <defs>
        <pattern :id="`blue-${run}`" width="7" height="7" patternUnits="userSpaceOnUse">
          <rect width="7" height="7" fill="#dce3ff" />
          <path d="M-1 8l9-9" stroke="#8f9ad6" stroke-width="1.6" />
        </pattern>
      </defs>
      <path :d="outline" class="outline" />
      <path v-if="ghost" :d="zoneOutline(ghost, 15)" class="ghost" />
      <path v-if="zone" :d="zoneOutline(zone, 14)" :fill="`url(#blue-${run})`" />
      <path v-if="wanted" :d="zoneOutline(wanted, 9)" class="wanted" />
      <text v-if="!zone && !disabled" :x="FLANK.width / 2" y="100" class="hint">{{ v.paintIt }}</text>
      <text
        v-for="(l, i) in labels"
        :key="i"
        :x="l.x"
        :y="LABEL_LINES[l.of]"
        :class="['figure', l.of]"
        text-anchor="middle"
      >
        {{ l.text }}
      </text>
      <path :d="`M${FLANK.left} ${FLANK.axis}H${FLANK.right}`" class="axis" />
      <path v-for="x in ticks" :key="x" :d="`M${x} ${FLANK.axis}v-6`" class="axis" />
      <template v-if="middles.paint !== null && middles.wanted !== null">
        <path :d="`M${middles.wanted} ${FLANK.axis - 12}v18`" class="aim" />
        <path :d="`M${middles.paint} ${FLANK.axis - 14}v20`" :class="['stands', verdict]" />
        <path
          v-if="Math.abs(middles.paint - middles.wanted) > 12"
          :d="`M${middles.wanted} ${FLANK.axis + 3}H${middles.paint}`"
          :class="['stands', verdict]"
          marker-end=""
        />
        <path
          v-if="Math.abs(middles.paint - middles.wanted) > 12"
          :d="
            middles.paint < middles.wanted
              ? `M${middles.paint} ${FLANK.axis + 3}l9-5v10z`
              : `M${middles.paint} ${FLANK.axis + 3}l-9-5v10z`
          "
          :class="['tip', verdict]"
        />
      </template>
      <text :x="FLANK.left" :y="FLANK.axis + 19" class="end">{{ ends.from }}</text>
      <text :x="FLANK.right" :y="FLANK.axis + 19" class="end" text-anchor="end">{{ ends.to }}</text>
      <template v-if="zone && !disabled">
        <g
          v-for="(end, i) in ENDS"
          :key="end"
          class="handle"
          role="slider"
          tabindex="0"
          :aria-label="handleName(end)"
          :aria-valuenow="zone[i]"
          aria-valuemin="0"
          aria-valuemax="100"
          :transform="`translate(${atPercent(zone[i]!)} ${middleAt(zone[i]!)})`"
          @pointerdown.stop="grab(end, $event)"
          @keydown="key(end, $event)"
        >
          <circle r="22" class="hit" />
          <circle r="11.5" class="knob" />
          <path d="M-2.500 -4l-4 4 4 4M2.500 -4l4 4-4 4" class="arrows" />
        </g>
      </template>
    </svg>
    <div v-if="!readOnly" class="row">
      <NumberBox
        v-for="end in ENDS"
        :key="end"
        ref="boxes"
        :model-value="texts[end]"
        :label="handleName(end)"
        hide-label
        measure="plain"
        :list="/%\s*$/.test(texts[end])"
        :units="units"
        on-dye
        :disabled="disabled"
        :note="faults[`${run}.${end}`] ?? ''"
        :note-is-fault="`${run}.${end}` in faults"
        @update:model-value="emit('type', end, $event)"
        @enter="emit('enter')"
      />
      <p v-if="off" class="off">
        <strong :class="['figure', verdict]">{{ off.figure }}</strong> {{ off.words }}
      </p>
      <el-button v-else-if="zone && !disabled" link class="text-button clear" @click="emit('clear')">{{
        v.clearPaint
      }}</el-button>
    </div>
  </section>
</template>

<style scoped>
.flank {
  min-width: 0;
}
h3 {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 16px;
  color: #fff;
}
.way {
  width: 22px;
  height: 22px;
}
.verdict {
  margin-left: auto;
  font-size: 14px;
  font-weight: 400;
}
.in {
  color: var(--in-on-dye);
}
.edge {
  color: var(--edge-on-dye);
}
.out {
  color: var(--out-on-dye);
}
.drawn {
  display: block;
  width: 100%;
  touch-action: pan-y;
}
.blank:not(.still) {
  cursor: crosshair;
}
.outline {
  fill: color-mix(in srgb, #fff 8%, transparent);
  stroke: var(--scribe);
  stroke-width: 1.5;
}
.ghost {
  fill: color-mix(in srgb, var(--scribe) 16%, transparent);
  stroke: var(--scribe-dim);
}
.wanted {
  fill: none;
  stroke: #fff;
  stroke-width: 2;
  stroke-dasharray: 7 5;
}
.hint {
  text-anchor: middle;
  font-size: 14px;
  fill: var(--scribe-dim);
}
text.paint {
  font-size: 15px;
  fill: #fff;
}
text.wanted {
  font-size: 14px;
  fill: var(--scribe-dim);
  stroke: none;
}
.axis {
  stroke: var(--scribe-dim);
}
.end {
  font-size: 13px;
  fill: var(--scribe-dim);
}
.aim {
  stroke: #fff;
  stroke-width: 1.5;
  stroke-dasharray: 3 3;
}
.stands {
  fill: none;
  stroke: currentColor;
  stroke-width: 2;
}
.tip {
  fill: currentColor;
}
.handle {
  cursor: ew-resize;
  touch-action: none;
}
.handle:focus-visible {
  outline: none;
}
.handle:focus-visible .knob {
  stroke: var(--brass-on-dye);
  stroke-width: 3;
}
.hit {
  fill: transparent;
}
.knob {
  fill: var(--dye-deep);
  stroke: #fff;
  stroke-width: 1.5;
}
.arrows {
  fill: none;
  stroke: #fff;
  stroke-width: 1.6;
}
.row {
  display: grid;
  grid-template-columns: 78px 78px minmax(0, 1fr);
  gap: 8px;
  align-items: center;
  margin-top: 2px;
}
.off {
  font-size: 15px;
  line-height: 1.2;
}
.off strong {
  font-size: 24px;
  font-weight: 400;
}
.clear {
  color: var(--scribe);
  justify-self: start;
}
</style>
