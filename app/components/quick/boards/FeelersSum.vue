<script setup lang="ts">
import { PLANES, type Plane } from '~~/core/frame/planes'
import { toCore } from '~~/core/units/unitSystem'
import { feelerRows, fitsHubs, hubFeelers, noFeelers, type HubFeelers } from '~~/shared/quick/feelers'
import { drawHubs, placesOf, scaleOfHubs } from '~~/shared/stages/roughIn/drawing'
import { blankRough, placeKey, QUARTERS, shownPlaces, type RoughTexts } from '~~/shared/stages/roughIn/form'
import { figure } from '~~/shared/wording/figures'
import { feltWords, openAt } from '~~/shared/wording/roughIn'
import { capital } from '~~/shared/wording/telling'
import LineFound from './LineFound.vue'

/** The hubs in both views, with a box where each feeler goes in: between the faces and under the straightedge. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const telling = useTelling()
const { form, mm, set } = useSumBoard()
const { roughIn, tables } = useWords()
const v = roughIn.view

type Ends = readonly [number | null, number | null]
type Told = { readonly v: number | null; readonly h: number | null }
const found = computed(
  () =>
    props.result as {
      readonly coupling: { readonly offset: Told; readonly slope: Told }
      readonly bounds: Readonly<Record<'offset' | 'slope', { readonly v: Ends; readonly h: Ends }>>
    } | null,
)
const [GAPS, RISES] = ['gaps/readings', 'rises/readings']
const fits = computed(() => fitsHubs(form.at(GAPS), form.at(RISES)))
const beside = ref<HubFeelers>(noFeelers())
const hubs = computed(() => hubFeelers(form.at(GAPS), form.at(RISES), beside.value))
const texts = computed((): RoughTexts => {
  const limits = { diameter: null, whole: false } as Parameters<typeof blankRough>[1]
  return { ...blankRough(session.units, limits), ...hubs.value }
})

/** Writes what stands in the boxes back; a part of the form with nothing in it stays closed. */
const change = (next: Partial<HubFeelers>) => {
  const now = { ...hubs.value, ...next }
  beside.value = now
  for (const [path, felt] of [
    [GAPS, 'gap'],
    [RISES, 'step'],
  ] as const) {
    const held = QUARTERS.some((clock) => {
      const key = placeKey(felt, clock)
      return now.how === 'blade' ? (now.went[key] ?? '') !== '' : (now.figures[key] ?? '').trim() !== ''
    })
    if (held || form.at(path) != null) set(path, feelerRows(felt, now))
  }
}
const faults = computed(() =>
  Object.fromEntries(
    shownPlaces(true).flatMap(({ felt, clock }) => {
      const list = felt === 'gap' ? GAPS : RISES
      const of = `${list}/${QUARTERS.indexOf(clock)}/of`
      const issue = ['value', 'passes', 'stops'].map((shape) => form.issue(`${of}/${shape}`)).find(Boolean)
      return issue ? [[placeKey(felt, clock), issue]] : []
    }),
  ),
)

const diameter = computed(() => mm('gaps/diameter', 'distance'))
const small = (x: number) => toCore(x, 'displacement', session.units)
const lean = (x: number) => toCore(x, 'slope', session.units) * (diameter.value ?? 0)
/** A quantity of the result as the words for feelers take it: millimetres, and what a blade leaves open. */
const felt = (what: 'offset' | 'slope', plane: Plane) => {
  const mmOf = what === 'offset' ? small : lean
  const end = (x: number | null) => (x === null ? null : mmOf(x))
  const r = found.value
  const [low, high] = r?.bounds[what][plane] ?? [null, null]
  return { value: end(r?.coupling[what][plane] ?? null), bounds: [end(low), end(high)] as const, limit: 0 }
}
const inPlanes = (what: 'offset' | 'slope') => ({ v: felt(what, 'v'), h: felt(what, 'h') })
const all = computed(() => ({
  steps: inPlanes('offset'),
  openings: inPlanes('slope'),
  diameter: diameter.value,
}))
const scale = computed(() => scaleOfHubs(found.value ? all.value : null))
const times = computed(() => (scale.value.times === null ? '' : `${scale.value.times}×`))
const words = (plane: Plane, what: 'step' | 'opening') => {
  const quantity = what === 'step' ? all.value.steps[plane] : all.value.openings[plane]
  const told = feltWords({ ...quantity, verdict: null }, what, plane, telling.value)
  return told === '–' ? '' : told
}
const opens = (plane: Plane) => {
  const { value } = all.value.openings[plane]
  if (value === null) return words(plane, 'opening')
  if (Math.abs(value) < 1e-9) return v.parallel
  const by = figure(Math.abs(value), 'displacement', session.units)
  return v.opensAt(by, openAt(value, plane, telling.value))
}
const views = computed(() =>
  PLANES.map((plane) => ({
    plane,
    hubs: drawHubs(all.value.steps[plane].value, all.value.openings[plane].value, scale.value.perMillimetre),
    found: words(plane, 'step'),
    opens: found.value ? opens(plane) : '',
    mark: null,
  })),
)
const order = computed(() =>
  PLANES.flatMap((plane) =>
    placesOf(plane).flatMap((clock) =>
      (['step', 'gap'] as const)
        .filter((kind) => kind === 'gap' || texts.value.four || clock < 180)
        .map((kind) => placeKey(kind, clock)),
    ),
  ),
)
const planes = useTemplateRef<{ focus: (key: string) => void }[]>('planes')
const enter = (key: string) => {
  const next = order.value[(order.value.indexOf(key) + 1) % order.value.length]!
  planes.value?.forEach((p) => p.focus(next))
}
</script>

<template>
  <div class="feelers">
    <template v-if="fits">
      <div class="tools">
        <ChoiceRow
          :model-value="texts.how"
          :label="v.how"
          on-dye
          :options="[
            { value: 'measured', name: v.measured },
            { value: 'blade', name: v.blade },
          ]"
          @update:model-value="change({ how: $event })"
        />
        <div v-if="texts.how === 'blade'" class="small">
          <NumberBox
            :model-value="texts.blade"
            :label="v.bladeThick"
            on-dye
            measure="displacement"
            :units="session.units"
            @update:model-value="change({ blade: $event })"
          />
        </div>
        <ChoiceRow
          :model-value="texts.four ? 'four' : 'two'"
          :label="v.four"
          show-label
          on-dye
          :options="[
            { value: 'two', name: v.twoPlaces },
            { value: 'four', name: v.fourPlaces },
          ]"
          @update:model-value="change({ four: $event === 'four' })"
        />
      </div>
      <section v-for="one in views" :key="one.plane" class="view">
        <h2>{{ capital(telling.words.directions.planes[one.plane]) }}</h2>
        <p v-if="times" class="times">{{ one.plane === 'v' ? v.side(times) : v.top(times) }}</p>
        <HubsPlane
          ref="planes"
          v-bind="one"
          :texts="texts"
          :faults="faults"
          :notes="{}"
          :units="session.units"
          :locked="false"
          :stationary-name="tables.driven.toLowerCase()"
          :movable-name="tables.motor.toLowerCase()"
          @figure="(key, typed) => change({ figures: { ...hubs.figures, [key]: typed } })"
          @went="(key, went) => change({ went: { ...hubs.went, [key]: went } })"
          @lies="(clock, on) => change({ lies: { ...hubs.lies, [clock]: on } })"
          @enter="enter"
        />
      </section>
    </template>
    <LineFound v-else :id="id" :result="result" />
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: end;
  margin-bottom: 10px;
}
.small {
  width: 170px;
}
.view {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  padding: 8px 0;
  border-top: 1px solid var(--dye-line);
}
.view > :deep(.plane) {
  grid-column: 1 / -1;
}
h2 {
  font-size: 16px;
  color: #fff;
}
.times {
  color: var(--scribe-dim);
  font-size: 14px;
}
@media (max-width: 640px) {
  .view {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
