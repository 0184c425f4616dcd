<script setup lang="ts">
import { targetsWords } from '~~/shared/wording/en'
import { quickWords } from '~~/shared/wording/viewWords'
import LineFound from './LineFound.vue'
import { tryTarget } from '~~/core/stages/target/target'
import { fitsGrowth, growthListed, growthOnBoard, growthPath } from '~~/shared/quick/growing'
import type { TextList } from '~~/shared/quick/texts'
import { drawGrowth } from '~~/shared/stages/target/drawing'
import {
  nameTargetUnits,
  pairKey,
  readTarget,
  sameAtBothEnds,
  tapedPlace,
  type RiseBox,
  type RiseTexts,
} from '~~/shared/stages/target/form'
import { growsBy } from '~~/shared/wording/targets'

/** How both machines grow, typed under their feet on the board of the cold target; a list it can't hold stays in the form. */
defineProps<{ id: string; result: unknown }>()
const { form, rows, set } = useSumBoard()
const session = useSession()
const telling = useTelling()
const words = useWords()
const v = targetsWords(words).view
const onBoard = computed(() => form.taken('machines'))

const said = () => form.at('machines') ?? []
const own = ref(growthOnBoard(fitsGrowth(said()) ? said() : [], session.units))
const texts = computed(() => own.value.texts)
const pairs = computed(() => own.value.pairs)
const written = () => growthListed(texts.value, pairs.value)
watch(
  () => session.units,
  (_, was) => nameTargetUnits(own.value.texts, was),
  { flush: 'sync' },
)
const write = () => {
  set('machines', written())
}
// An example, a bookmark, a cleared form: the board says what the form says.
watch(
  () => JSON.stringify(said()),
  (now) => {
    if (!fitsGrowth(said())) return
    if (now !== JSON.stringify(written())) own.value = growthOnBoard(said(), session.units)
    // An empty row of the form would ask which machine it is: the board has both.
    if (now !== '[]' && written().length === 0) write()
  },
  { immediate: true },
)

const read = computed(() => readTarget(texts.value, pairs.value, telling.value))
const now = () => (read.value.payload ? tryTarget(read.value.payload) : null)
const { whole, stale } = useLastWhole(now)
const drawn = computed(() =>
  drawGrowth(
    pairs.value,
    whole.value?.growth ?? null,
    whole.value?.line ?? { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } },
    (pair) => tapedPlace(texts.value, pair, session.units),
  ),
)
const BOXES: readonly RiseBox[] = ['x', 'height', 'running', 'alpha', 'rise', 'side']
/** What the board finds wrong, then what the sum itself does. */
const remarks = computed(() => ({
  ...Object.fromEntries(
    pairs.value.flatMap((pair) =>
      BOXES.flatMap((box) => {
        const typed = texts.value.feet[pairKey(pair)]?.how === 'typed'
        const text = form.issue(growthPath(rows('machines') as TextList, pair, box, typed))
        return text === '' ? [] : [[`${pairKey(pair)}.${box}`, { text, fault: true }] as const]
      }),
    ),
  ),
  ...read.value.remarks,
}))
const rises = computed(() =>
  Object.fromEntries(
    (now()?.growth?.machines ?? []).flatMap((m) =>
      m.feet.map(({ id, rise }) => [pairKey({ machine: m.role, id }), growsBy(rise.v, telling.value)]),
    ),
  ),
)
const cold = computed(() => {
  const remark = read.value.remarks.cold
  return {
    modelValue: texts.value.cold,
    label: `${v.cold}, ${session.units === 'inch' ? '°F' : '°C'}`,
    note: remark?.text ?? '',
    noteIsFault: remark?.fault ?? false,
  }
})
const change = (how: () => void) => {
  how()
  write()
}
</script>

<template>
  <LineFound v-if="!onBoard" :id="id" :result="result" />
  <div v-else class="growth-sum">
    <NumberBox
      v-bind="cold"
      class="cold"
      measure="plain"
      :units="session.units"
      signed
      on-dye
      @update:model-value="change(() => (own.texts.cold = $event))"
    />
    <GrowthBoard
      :class="{ stale: stale && whole }"
      :texts="texts"
      :drawn="drawn"
      :remarks="remarks"
      :rises="rises"
      :names="quickWords.machines"
      :foot-name="(p) => telling.footNames(p.id, p.machine)"
      :still="read.still"
      :units="session.units"
      :locked="false"
      @like="change(() => sameAtBothEnds(own.texts, pairs, $event))"
      @rise="(pair, rise) => change(() => Object.assign(own.texts.feet[pair]!, rise as Partial<RiseTexts>))"
      @distance="(pair, typed) => change(() => (own.texts.distances[pair] = typed))"
    />
  </div>
</template>

<style scoped>
.cold {
  width: 150px;
  margin-bottom: 8px;
}
.stale :deep(svg) {
  opacity: 0.45;
}
</style>
