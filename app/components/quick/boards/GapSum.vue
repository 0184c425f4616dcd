<script setup lang="ts">
import { toCore } from '~~/core/units/unitSystem'
import { axialScale } from '~~/shared/stages/roughIn/drawing'
import { figure } from '~~/shared/wording/figures'

/** The gap between two hubs, cold and when it runs, on a scale with the window that it belongs in. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const { mm, box } = useSumBoard()
const words = useWords()
const w = words.quick.gap
const verdicts = words.verdicts

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

/** The widest gap takes this much of the sheet; the others beside it to the same scale. */
const WIDEST = 130
const LEFT = 250
const drawnGap = (gap: number | null) => {
  const widest = Math.max(running.value ?? 0, stands.value ?? 0)
  return gap === null || widest <= 0 ? WIDEST : (WIDEST * Math.max(0, gap)) / widest
}
const face = computed(() => LEFT + drawnGap(stands.value))
const warm = computed(() => LEFT + drawnGap(running.value))
const names = words.tables
</script>

<template>
  <div class="gap-sum">
    <svg class="hubs" viewBox="0 0 640 176" aria-hidden="true">
      <path class="hub" :d="`M${LEFT - 96} 40h96v96h-96zM40 66h${LEFT - 136}v44H40z`" />
      <path class="hub" :d="`M${face} 40h96v96h-96zM${face + 96} 66H600v44H${face + 96}z`" />
      <path v-if="found && running !== null" class="warm" :d="`M${warm} 32V144`" />
      <path class="dimension" :d="`M${LEFT} 22H${face}M${LEFT} 14v16M${face} 14v16`" />
      <text v-if="stands !== null" class="figure" :x="(LEFT + face) / 2" y="12">{{ d(stands) }}</text>
      <text v-if="found && running !== null" class="warm-words" :x="(LEFT + warm) / 2" y="164">
        {{ w.running(d(running)) }}
      </text>
      <text class="name" x="100" y="164">{{ names.driven.toLowerCase() }}</text>
      <text class="name" x="548" y="164">{{ names.motor.toLowerCase() }}</text>
    </svg>
    <div v-if="scale" class="scale">
      <AxialGap v-bind="scale" :windowed="windowed" :label="w.scale" />
      <p>
        {{ measured === null ? w.cold : w.measured }}
        <span v-if="found?.verdict" :class="found.verdict"
          ><VerdictMark :mark="found.verdict" on-dye /> {{ verdicts[found.verdict] }}</span
        >
      </p>
    </div>
    <div class="boxes">
      <NumberBox v-bind="box('runningGap', 'distance')" :label="w.runningBox" />
      <NumberBox v-bind="box('measured', 'distance')" :label="w.measuredBox" />
      <NumberBox v-bind="box('window/0', 'distance')" :label="w.least" />
      <NumberBox v-bind="box('window/1', 'distance')" :label="w.most" />
    </div>
  </div>
</template>

<style scoped>
.gap-sum {
  max-width: 720px;
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
.scale {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 190px;
  gap: 16px;
  align-items: center;
  margin: 8px 0;
}
.scale .in {
  color: var(--in-on-dye);
}
.scale .edge {
  color: var(--edge-on-dye);
}
.scale .out {
  color: var(--out-on-dye);
}
.scale span {
  display: block;
  font-size: 14px;
}
.boxes {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 14px;
  align-items: end;
}
@media (max-width: 640px) {
  .boxes,
  .scale {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
