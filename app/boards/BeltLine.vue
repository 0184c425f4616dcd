<script setup lang="ts">
import { drawingsWords } from '~~/shared/wording/en'
import { otherSheave, type SheavePlace } from '~~/core/register/beltMachine'
import type { LineDrawing } from '~~/shared/stages/lineUp/drawing'
import type { Contact, Touch } from '~~/shared/stages/lineUp/form'

/**
 * The sheave faces from above with the edge across them, along the shafts exaggerated: four contacts
 * to tap, the groove lines, and what stands between them. Millimetres and radians in.
 */
const props = defineProps<{
  centre: number
  diameters: Readonly<Record<SheavePlace, number>>
  drawing: LineDrawing
  names: Readonly<Record<SheavePlace, string>>
  locked: boolean
  /** Said over the drawing in place of its scale. */
  note?: string
}>()
const emit = defineEmits<{ tap: [contact: Contact] }>()
const words = useWords()
const w = drawingsWords(words)
const W = 690
const H = 318
const EDGE = 72

const along = computed(
  () => (W - 40) / (props.centre + props.diameters.motor / 2 + props.diameters.driven / 2),
)
const at = computed(() => ({
  motor: 20 + (props.diameters.motor / 2) * along.value,
  driven: 20 + (props.diameters.motor / 2 + props.centre) * along.value,
}))
const half = (place: SheavePlace) => Math.max(34, (props.diameters[place] / 2) * along.value)
const other = computed<SheavePlace>(() => otherSheave(props.drawing.edgeOn))
/** Pixels a millimetre along the shafts, as large as the sheet allows. */
const across = computed(() => {
  const deepest = Math.max(
    props.drawing.depths.reference + Math.max(props.drawing.gaps.r1, props.drawing.gaps.r2),
    props.drawing.depths.other + Math.max(props.drawing.gaps.p1, props.drawing.gaps.p2),
    4,
  )
  return Math.min(14, 128 / deepest)
})
const exaggeration = computed(() => Math.max(1, Math.round(across.value / along.value)))
const sheave = (place: SheavePlace) => {
  const x = at.value[place]
  const h = half(place)
  const inner = place === 'motor' ? 1 : -1
  const isOther = place === other.value
  const near = (isOther ? props.drawing.gaps.p1 : props.drawing.gaps.r2) * across.value
  const far = (isOther ? props.drawing.gaps.p2 : props.drawing.gaps.r1) * across.value
  const depth = (isOther ? props.drawing.depths.other : props.drawing.depths.reference) * across.value
  const xNear = x + inner * h
  const xFar = x - inner * h
  const yNear = EDGE + near
  const yFar = EDGE + far
  const y = (yNear + yFar) / 2 + depth
  const slope = (yNear - yFar) / (xNear - xFar)
  return { place, x, h, xNear, xFar, yNear, yFar, y, slope, depth, isOther }
}
const sheaves = computed(() => [sheave('motor'), sheave('driven')] as const)
const reference = computed(() => sheaves.value.find((s) => !s.isOther)!)
const moved = computed(() => sheaves.value.find((s) => s.isOther)!)
const lineY = (s: ReturnType<typeof sheave>, x: number) => s.y + s.slope * (x - s.x)
const bottom = (s: ReturnType<typeof sheave>) => Math.min(H - 34, s.y + 62)
const contacts = computed(() =>
  sheaves.value.flatMap((s) => [
    {
      id: (s.isOther ? 'otherNear' : 'referenceNear') as Contact,
      x: s.xNear,
      name: w.nearRim(props.names[s.place]),
    },
    {
      id: (s.isOther ? 'otherFar' : 'referenceFar') as Contact,
      x: s.xFar,
      name: w.farRim(props.names[s.place]),
    },
  ]),
)
const touchWord = (t: Touch) => w.touches[t ?? 'unknown']
const tap = (id: Contact) => {
  if (!props.locked) emit('tap', id)
}
const tone = computed(() => (props.drawing.figures?.offsetOut ? '#FF8FA3' : '#58D3BE'))
const between = computed(() => (at.value.motor + half('motor') + at.value.driven - half('driven')) / 2)
</script>

<template>
  <div class="line">
    <p class="note">{{ note ?? w.widerAcross(exaggeration) }}</p>
    <svg :viewBox="`0 0 ${W} ${H}`" role="group" :aria-label="w.sheaves">
      <g v-for="s in sheaves" :key="s.place">
        <path
          :d="`M${s.xFar} ${s.yFar}L${s.xNear} ${s.yNear}V${bottom(s)}H${s.xFar}Z`"
          fill="#2A2F6E"
          stroke="#DCE3FF"
          stroke-width="1.6"
        />
        <path
          :d="`M${s.x} ${(s.yNear + s.yFar) / 2 + 4}V${s.y - 4}`"
          stroke="#8F9AD6"
          stroke-dasharray="3 3"
        />
        <text class="figure" :x="s.x + 8" :y="(s.yNear + s.yFar) / 2 + 30" font-size="14" fill="#DCE3FF">
          {{ s.isOther ? drawing.figures?.depthOther : drawing.figures?.depthReference }}
        </text>
        <text :x="s.x" :y="H - 12" font-size="14" fill="#A3AEE0" text-anchor="middle">
          {{ names[s.place] }}
        </text>
      </g>
      <rect x="8" :y="EDGE - 20" :width="W - 16" height="20" fill="#3A409A" stroke="#DCE3FF" />
      <text :x="between" :y="EDGE - 6" font-size="14" fill="#FFFFFF" text-anchor="middle">
        {{ w.straightedge }}
      </text>
      <!-- groove lines -->
      <path :d="`M8 ${reference.y}H${W - 8}`" stroke="#8F9AD6" stroke-dasharray="7 5" />
      <path
        :d="`M${reference.x - reference.h} ${lineY(reference, reference.x - reference.h)}L${reference.x + reference.h} ${lineY(reference, reference.x + reference.h)}`"
        stroke="#FFFFFF"
        stroke-width="2"
      />
      <path
        :d="`M${moved.x - moved.h - 6} ${lineY(moved, moved.x - moved.h - 6)}L${moved.x + moved.h + 60} ${lineY(moved, moved.x + moved.h + 60)}`"
        stroke="#FFFFFF"
        stroke-width="2"
      />
      <g v-if="drawing.figures" :fill="tone" paint-order="stroke" stroke-linejoin="round">
        <path :d="`M${moved.x} ${moved.y}V${reference.y}`" :stroke="tone" stroke-width="4" fill="none" />
        <circle :cx="moved.x" :cy="moved.y" r="4.5" fill="#FFFFFF" />
        <text
          class="figure"
          :x="moved.x"
          :y="Math.max(moved.y, reference.y) + 27"
          font-size="23"
          text-anchor="middle"
          stroke="#2A2F6E"
          stroke-width="5"
        >
          {{ drawing.figures.offset }}
        </text>
      </g>
      <g v-if="drawing.after">
        <path
          :d="`M${moved.x - moved.h - 6} ${reference.y}H${moved.x + moved.h + 60}`"
          stroke="#E0B04A"
          stroke-width="3"
          stroke-dasharray="9 5"
        />
        <text
          :x="between"
          :y="Math.min(H - 88, reference.y + 34)"
          font-size="14"
          fill="#E0B04A"
          text-anchor="middle"
        >
          {{ drawing.after.name }}
          <tspan class="figure" font-size="17" dx="6">
            {{ drawing.after.offset }}, {{ drawing.after.turn }}
          </tspan>
        </text>
      </g>
      <g v-if="drawing.figures" font-size="15" fill="#DCE3FF" text-anchor="middle">
        <text :x="between" :y="EDGE + 44">
          {{ w.turn }}
          <tspan class="figure" font-size="22" fill="#FFFFFF" dx="6">{{ drawing.figures.turn }}</tspan>
        </text>
        <text v-if="drawing.figures.tilt" :x="between" :y="H - 46">
          {{ w.tilt }}
          <tspan class="figure" font-size="22" fill="#FFFFFF" dx="6">{{ drawing.figures.tilt }}</tspan>
        </text>
      </g>
      <g
        v-for="c in contacts"
        :key="c.id"
        class="contact"
        :class="{ locked }"
        role="button"
        tabindex="0"
        :aria-label="`${c.name}: ${touchWord(drawing.contacts[c.id])}`"
        :aria-disabled="locked"
        @click="tap(c.id)"
        @keydown.enter.prevent="tap(c.id)"
        @keydown.space.prevent="tap(c.id)"
      >
        <circle
          :cx="c.x"
          :cy="EDGE - 2"
          r="21"
          :fill="drawing.contacts[c.id] === null ? '#15183F' : 'transparent'"
          fill-opacity="0.55"
          stroke="#FFFFFF"
          :stroke-width="drawing.contacts[c.id] === 'gap' ? 2.4 : 1.6"
          :stroke-dasharray="
            drawing.contacts[c.id] === 'gap' ? '6 4' : drawing.contacts[c.id] ? undefined : '2 4'
          "
        />
        <circle v-if="drawing.contacts[c.id] === 'touch'" :cx="c.x" :cy="EDGE - 2" r="4.5" fill="#FFFFFF" />
        <text
          :x="Math.min(W - 22, Math.max(22, c.x))"
          :y="EDGE - 32"
          font-size="15"
          text-anchor="middle"
          fill="#FFFFFF"
          :font-weight="drawing.contacts[c.id] === 'gap' ? 700 : 400"
        >
          {{ touchWord(drawing.contacts[c.id]) }}
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.line {
  min-width: 0;
}
.note {
  color: var(--scribe-dim);
  font-size: 14px;
  text-align: right;
}
svg {
  display: block;
  overflow: visible;
  width: 100%;
}
.contact {
  cursor: pointer;
}
.contact.locked {
  cursor: default;
}
</style>
