<script setup lang="ts">
import { openAt } from '~~/shared/wording/directions'
import { directionsWords, roughInWords, tablesWords } from '~~/shared/wording/en'
import { PLANES, type Plane } from '~~/core/frame/planes'
import {
  feelerRows,
  feltAtHubs,
  fitsHubs,
  hubFeelers,
  noFeelers,
  type FeelersFound,
  type HubFeelers,
} from '~~/shared/quick/feelers'
import { drawHubs, placesOf, scaleOfHubs } from '~~/shared/stages/roughIn/drawing'
import { blankRough, placeKey, QUARTERS, shownPlaces, type RoughTexts } from '~~/shared/stages/roughIn/form'
import { figure } from '~~/shared/wording/figures'
import { feltWords } from '~~/shared/wording/roughIn'
import { capital } from '~~/shared/wording/capital'
import LineFound from './LineFound.vue'

/** The hubs in both views, with a box where each feeler goes in: between the faces and under the straightedge. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const telling = useTelling()
const { form, mm, set } = useSumBoard()
const words = useWords()
const roughIn = roughInWords(words)
const tables = tablesWords(words)
const v = roughIn.view

const found = computed(() => props.result as FeelersFound | null)
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
const all = computed(() => ({
  ...feltAtHubs(found.value, diameter.value, session.units),
  diameter: diameter.value,
}))
const scale = computed(() => scaleOfHubs(found.value ? all.value : null))
const times = computed(() => (scale.value.times === null ? '' : `${scale.value.times}×`))
const said = (plane: Plane, what: 'step' | 'opening') => {
  const quantity = what === 'step' ? all.value.steps[plane] : all.value.openings[plane]
  const told = feltWords(quantity, what, plane, telling.value)
  return told === '–' ? '' : told
}
const opens = (plane: Plane) => {
  const { value } = all.value.openings[plane]
  if (value === null) return said(plane, 'opening')
  if (Math.abs(value) < 1e-9) return v.parallel
  const by = figure(Math.abs(value), 'displacement', session.units)
  return v.opensAt(by, openAt(value, plane, telling.value))
}
const views = computed(() =>
  PLANES.map((plane) => ({
    plane,
    hubs: drawHubs(all.value.steps[plane].value, all.value.openings[plane].value, scale.value.perMillimetre),
    found: said(plane, 'step'),
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
        <FeelerWays
          :texts="texts"
          :units="session.units"
          @how="change({ how: $event })"
          @blade="change({ blade: $event })"
          @four="change({ four: $event })"
        />
      </div>
      <section v-for="one in views" :key="one.plane" class="view">
        <h2>{{ capital(directionsWords(telling.words).planes[one.plane]) }}</h2>
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
