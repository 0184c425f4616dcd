<script setup lang="ts">
import { tablesWords, targetsWords, verdictsWords } from '~~/shared/wording/en'
import { quickWords } from '~~/shared/wording/viewWords'
import { toCore } from '~~/core/units/unitSystem'
import { drawGap, HUB_GAP } from '~~/shared/quick/hubGap'
import { labelOf } from '~~/shared/quick/labels'
import { axialScale } from '~~/shared/stages/roughIn/drawing'
import { figure } from '~~/shared/wording/figures'
import { capital } from '~~/shared/wording/capital'

/** Two hubs with the gap between them, each shaft's growth under it, and the gap on a scale with the window that it belongs in. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const { mm, box, text, form, set } = useSumBoard()
const words = useWords()
const w = quickWords.gap
const verdicts = verdictsWords(words)

const found = computed(
  () => props.result as { coldGap: number; verdict: 'in' | 'edge' | 'out' | null } | null,
)
const inMm = (x: number) => toCore(x, 'distance', session.units)
const d = (x: number) => figure(x, 'distance', session.units, { unit: true })
const running = computed(() => mm('runningGap', 'distance'))
const measured = computed(() => mm('measured', 'distance'))
const cold = computed(() => (found.value ? inMm(found.value.coldGap) : null))
/** What is judged: the measured gap where there is one. */
const stands = computed(() => measured.value ?? cold.value)
const window = computed(() => ({ least: mm('window/0', 'distance'), most: mm('window/1', 'distance') }))
const windowed = computed(() => window.value.least !== null || window.value.most !== null)
const scale = computed(() => (stands.value === null ? null : axialScale(stands.value, window.value)))
const drawn = computed(() => drawGap(stands.value, found.value ? running.value : null))

const { face: LEFT, hub: HUB, width: W, height: H } = HUB_GAP
const names = tablesWords(words)
const degrees = computed(() => (session.units === 'inch' ? '°F' : '°C'))
/** Shafts whose expansion is typed, from the pick on. */
const ownPicked = ref<readonly string[]>([])
const shafts = computed(() =>
  [names.driven, names.motor].map((name, i) => {
    const path = `shafts/${String(i)}`
    const own = text(`${path}/alpha`) !== '' || ownPicked.value.includes(path)
    return {
      name,
      path,
      own,
      material: text(`${path}/material`) || (own ? 'own' : ''),
      materialFault: form.issue(`${path}/material`),
      away: form.at(`${path}/closesGap`) === false,
    }
  }),
)
const pickMaterial = (path: string, material: string) => {
  ownPicked.value = ownPicked.value.filter((p) => p !== path)
  if (material === 'own') ownPicked.value = [...ownPicked.value, path]
  else set(`${path}/alpha`, '')
  set(`${path}/material`, material === 'own' ? '' : material)
}
</script>

<template>
  <div class="gap-sum">
    <div class="over">
      <NumberBox v-bind="box('runningGap', 'distance')" :label="w.runningBox" />
      <NumberBox v-bind="box('measured', 'distance')" :label="w.measuredBox" />
    </div>
    <svg class="hubs" :viewBox="`0 0 ${W} ${H}`" aria-hidden="true">
      <path class="hub" :d="`M${LEFT - HUB} 24h${HUB}v84h-${HUB}zM40 46h${LEFT - HUB - 40}v40H40z`" />
      <path
        class="hub"
        :d="`M${drawn.face} 24h${HUB}v84h-${HUB}zM${drawn.face + HUB} 46H600v40H${drawn.face + HUB}z`"
      />
      <path v-if="drawn.warm !== null" class="warm" :d="`M${drawn.warm} 14V118`" />
      <path class="dimension" :d="`M${LEFT} 8H${drawn.face}M${LEFT} 0v16M${drawn.face} 0v16`" />
      <text v-if="stands !== null" class="figure" :x="(LEFT + drawn.face) / 2" y="70">{{ d(stands) }}</text>
      <text v-if="drawn.warm !== null && running !== null" class="warm-words" :x="drawn.warm" y="124">
        {{ w.running(d(running)) }}
      </text>
    </svg>
    <div class="shafts">
      <fieldset v-for="s in shafts" :key="s.path">
        <legend>{{ capital(w.shaft(s.name)) }}</legend>
        <NumberBox v-bind="box(`${s.path}/length`, 'distance')" :label="w.length" />
        <MaterialPick
          :model-value="s.material"
          :label="`${w.shaft(s.name)}: ${targetsWords(words).view.material}`"
          :fault="s.materialFault"
          @update:model-value="pickMaterial(s.path, $event)"
        />
        <NumberBox
          v-if="s.own"
          v-bind="box(`${s.path}/alpha`, 'plain')"
          class="alpha"
          :label="labelOf('alpha')"
        />
        <NumberBox v-bind="box(`${s.path}/coldTemp`, 'plain')" :label="`${w.coldAt}, ${degrees}`" />
        <NumberBox v-bind="box(`${s.path}/runTemp`, 'plain')" :label="`${w.runsAt}, ${degrees}`" />
        <ChoiceRow
          class="way"
          :model-value="s.away ? 'away' : 'closes'"
          :label="`${w.shaft(s.name)}: ${w.way}`"
          on-dye
          :options="[
            { value: 'closes', name: w.closes },
            { value: 'away', name: w.opens },
          ]"
          @update:model-value="set(`${s.path}/closesGap`, $event === 'away' ? false : null)"
        />
      </fieldset>
    </div>
    <p class="note">
      {{ stands === null ? '' : measured === null ? w.cold : w.measured }}
      <span v-if="found?.verdict" :class="found.verdict"
        ><VerdictMark :mark="found.verdict" on-dye /> {{ verdicts[found.verdict] }}</span
      >
    </p>
    <div class="scale">
      <NumberBox v-bind="box('window/0', 'distance')" :label="w.least" />
      <AxialGap v-if="scale" v-bind="scale" :windowed="windowed" :label="w.scale" />
      <span v-else />
      <NumberBox v-bind="box('window/1', 'distance')" :label="w.most" />
    </div>
  </div>
</template>

<style scoped>
.gap-sum {
  max-width: 720px;
}
.over {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
  max-width: 340px;
  margin: 0 auto 10px;
}
.hubs {
  display: block;
  width: 100%;
}
.hub {
  fill: #24296a;
  stroke: var(--scribe);
  stroke-width: 1.6;
}
.warm {
  stroke: var(--brass-on-dye);
  stroke-width: 2;
  stroke-dasharray: 7 4;
}
.dimension {
  fill: none;
  stroke: var(--scribe-dim);
}
text {
  text-anchor: middle;
  font-size: 15px;
  fill: var(--scribe-dim);
}
.figure {
  fill: #fff;
  font-family: var(--figures);
  font-size: 17px;
}
.warm-words {
  fill: var(--brass-on-dye);
}
.shafts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 48px;
  margin-top: 10px;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  min-width: 0;
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 10px 14px;
  align-content: start;
  align-items: end;
}
.alpha,
.way {
  grid-column: 1 / -1;
}
legend {
  color: #fff;
  font-weight: 600;
  padding: 0 0 4px;
}
.note {
  text-align: center;
  color: var(--scribe-dim);
  min-height: 1.5em;
  margin: 14px 0 2px;
}
.note .in {
  color: var(--in-on-dye);
}
.note .edge {
  color: var(--edge-on-dye);
}
.note .out {
  color: var(--out-on-dye);
}
.scale {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr) 130px;
  gap: 16px;
  align-items: end;
}
@media (max-width: 640px) {
  .shafts {
    grid-template-columns: 1fr;
  }
  .scale {
    grid-template-columns: 1fr 1fr;
  }
  .scale > :nth-child(2) {
    grid-column: 1 / -1;
    order: -1;
  }
}
</style>
