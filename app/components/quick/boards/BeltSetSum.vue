<script setup lang="ts">
import { DEFLECTION_SHARE } from '~~/core/belt/tension'
import { toCore } from '~~/core/units/unitSystem'
import { barsOf, drawnSizes, fitsForces, forceRows } from '~~/shared/quick/beltDrive'
import { tensionWords } from '~~/shared/wording/en'
import { forceFigure } from '~~/shared/wording/forces'
import { beltName } from '~~/shared/wording/tension'
import { quickWords } from '~~/shared/wording/viewWords'
import DriveSizes from './DriveSizes.vue'

/** Every belt of a set: the force that is read before its bar, and its tension against the band. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const words = useWords()
const { form, text, mm, rows, set } = useSumBoard()
const w = quickWords.drive
const t = tensionWords(words)
const MOST = 12
const LIST = 'readings'
/** While nothing is typed there stands one belt. */
const count = computed(() => Math.max(1, rows(LIST).length))
const forces = computed(() =>
  Array.from({ length: count.value }, (_, i) => text(`${LIST}/${String(i)}/force`)),
)
const typedHere = computed(() => fitsForces(form.at(LIST)))
const deflection = computed({
  get: () => text(`${LIST}/0/deflection`),
  set: (typed: string) => set(LIST, [...forceRows(forces.value, typed)]),
})
const type = (at: number, force: string) =>
  set(LIST, [
    ...forceRows(
      forces.value.map((f, i) => (i === at ? force : f)),
      deflection.value,
    ),
  ])
const another = () => set(LIST, [...forceRows([...forces.value, ''], deflection.value)])
const fewer = () => set(LIST, [...forceRows(forces.value.slice(0, -1), deflection.value)])
const names = computed(() => forces.value.map((_, i) => beltName(i, count.value, { words })))
const bars = computed(() =>
  props.result
    ? barsOf(
        props.result as Parameters<typeof barsOf>[0],
        (x) => forceFigure(toCore(x, 'force', session.units), session.units),
        names.value,
      )
    : null,
)
const sizes = computed(() => drawnSizes(mm('d', 'distance'), mm('D', 'distance'), mm('C', 'distance')))
const pushed = computed(() => mm(`${LIST}/0/deflection`, 'distance') ?? sizes.value.centre * DEFLECTION_SHARE)
const issue = (i: number) => form.issue(`${LIST}/${String(i)}/force`)
</script>

<template>
  <div class="set-sum">
    <BeltSide
      :diameters="sizes"
      :centre="sizes.centre"
      :deflection="pushed"
      figure=""
      what=""
      pushed
      :names="{ motor: '', driven: '' }"
      :words="words"
    />
    <DriveSizes />
    <template v-if="typedHere">
      <NumberBox
        v-model="deflection"
        class="deflection"
        :label="t.view.deflection"
        measure="distance"
        :units="session.units"
        on-dye
        :note="form.issue(`${LIST}/0/deflection`)"
        :note-is-fault="form.issue(`${LIST}/0/deflection`) !== ''"
      />
      <BeltBars :bars="bars" :title="w.bars" :names="names" :words="words">
        <template #default="{ at, label }">
          <NumberBox
            :model-value="forces[at] ?? ''"
            :label="label"
            hide-label
            measure="force"
            :units="session.units"
            on-dye
            :note="issue(at)"
            :note-is-fault="issue(at) !== ''"
            @update:model-value="type(at, $event)"
          />
        </template>
      </BeltBars>
      <p class="acts">
        <el-button v-if="count < MOST" link class="text-button" @click="another">{{ w.another }}</el-button>
        <el-button v-if="count > 1" link class="text-button" @click="fewer">{{ w.fewer }}</el-button>
      </p>
    </template>
    <BeltBars v-else-if="bars" :bars="bars" :title="w.bars" :names="names" :words="words">
      <template #default="{ at }">
        <span class="figure">{{ bars.bars[at]?.figure }}</span>
      </template>
    </BeltBars>
  </div>
</template>

<style scoped>
.set-sum {
  max-width: 720px;
}
.deflection {
  max-width: 220px;
  margin-bottom: 12px;
}
.acts {
  margin: 4px 0 12px;
}
.acts .text-button {
  color: var(--scribe);
}
</style>
