<script setup lang="ts">
import { degrees, gapFigure } from '~~/shared/wording/figures'
import { drawingsWords, tablesWords } from '~~/shared/wording/en'
import type { WritableComputedRef } from 'vue'
import { otherSheave, type SheavePlace } from '~~/core/register/beltMachine'
import { toCore } from '~~/core/units/unitSystem'
import LineQuestions from '~/stages/lineUp/LineQuestions.vue'
import { askedRims, edgeLiesOn, GAP_AT, touchesOf, touchOf } from '~~/shared/quick/edge'
import type { LineDrawing } from '~~/shared/stages/lineUp/drawing'
import {
  gapBoxes,
  LINE_BOXES,
  tapped,
  TILT_BOXES,
  type Contact,
  type LineBox,
  type LineTexts,
  type Touch,
} from '~~/shared/stages/lineUp/form'

/** The faces with the edge across them: rims that are tapped, and a box for each gap that shows. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const telling = useTelling()
const { form, text, mm, set } = useSumBoard()
const words = useWords()

const said = ref<Partial<Record<Contact, Touch>>>({})
/** Figures that a tap put away, to come back with the gap. */
const putAway = ref<Partial<Record<Contact, string>>>({})
const boxes: LineTexts['boxes'] = reactive(
  Object.fromEntries(
    LINE_BOXES.map((b) => [b, computed({ get: () => text(b), set: (typed: string) => set(b, typed) })]),
  ) as Record<LineBox, WritableComputedRef<string>>,
)
const line: LineTexts = reactive({
  units: computed(() => session.units),
  edgeOn: computed({
    get: () => edgeLiesOn(text('otherOn')),
    set: (place: SheavePlace) => set('otherOn', otherSheave(place)),
  }),
  edgeSide: computed({
    get: (): 'outer' | 'inner' => (text('edgeSide') === 'inner' ? 'inner' : 'outer'),
    set: (side: 'outer' | 'inner') => set('edgeSide', side),
  }),
  contacts: computed(() => askedRims(boxes, said.value, session.units)),
  boxes,
})
const contacts = computed(() => touchesOf(boxes, said.value, session.units))
// The edge lies somewhere from the start; the drawing shows where, so the form says it too.
watchEffect(() => {
  if (text('otherOn') === '') set('otherOn', otherSheave(line.edgeOn))
  if (text('edgeSide') === '') set('edgeSide', line.edgeSide)
})

const tap = (contact: Contact) => {
  const box = GAP_AT[contact]
  if (touchOf(boxes[box], session.units) === 'gap') putAway.value[contact] = boxes[box]
  const next = tapped(contacts.value[contact])
  said.value[contact] = next
  boxes[box] = next === 'touch' ? '0' : next === 'gap' ? (putAway.value[contact] ?? '') : ''
}
const read = computed(() => {
  const shown = [...gapBoxes(line), ...TILT_BOXES]
  const remarks = Object.fromEntries(
    shown.flatMap((b) => {
      const issue = form.issue(b)
      return issue ? [[b, { text: issue, fault: true }]] : []
    }),
  )
  return {
    remarks,
    missing: gapBoxes(line).filter((b) => boxes[b].trim() === ''),
    contacts: null,
    reading: null,
  }
})

const found = computed(
  () =>
    props.result as {
      readonly offset: number
      readonly turn: number
      readonly tilt: number | null
      readonly quantities: readonly { readonly name: string; readonly verdict: string }[]
    } | null,
)
const DEGREE = Math.PI / 180
const shown = (x: number) => gapFigure(x, telling.value)
const gap = (contact: Contact) => mm(GAP_AT[contact], 'distance') ?? 0
const depths = computed(() => ({ reference: mm('eR', 'distance') ?? 0, other: mm('eA', 'distance') ?? 0 }))
const drawing = computed((): LineDrawing => {
  const r = found.value
  return {
    edgeOn: line.edgeOn,
    edgeSide: line.edgeSide,
    contacts: contacts.value,
    gaps: {
      p1: gap('otherNear'),
      p2: gap('otherFar'),
      r1: gap('referenceFar'),
      r2: gap('referenceNear'),
    },
    depths: depths.value,
    figures: r && {
      offset: shown(Math.abs(toCore(r.offset, 'distance', session.units))),
      offsetOut: r.quantities.some((q) => q.name === 'offset' && q.verdict === 'out'),
      turn: degrees(Math.abs(r.turn * DEGREE)),
      tilt: r.tilt === null ? '' : degrees(Math.abs(r.tilt * DEGREE)),
      depthReference: shown(depths.value.reference),
      depthOther: shown(depths.value.other),
    },
  }
})
/** The small sheave is drawn on the motor; sizes that aren't typed yet are drawn as an ordinary drive. */
const sizes = computed(() => {
  const motor = mm('d', 'distance') ?? 140
  const driven = Math.max(motor, mm('D', 'distance') ?? 2 * motor)
  return { motor, driven, centre: mm('C', 'distance') ?? 1.2 * (motor + driven) }
})
</script>

<template>
  <div class="sheaves">
    <BeltLine
      :centre="sizes.centre"
      :diameters="sizes"
      :drawing="drawing"
      :names="{
        motor: drawingsWords(telling.words).motor,
        driven: tablesWords(words).driven.toLowerCase(),
      }"
      :locked="false"
      @tap="tap"
    />
    <LineQuestions :model-value="line" :read="read" />
  </div>
</template>

<style scoped>
.sheaves {
  max-width: 760px;
}
</style>
