<script setup lang="ts">
import { ARC_REFUSED } from '~~/core/fit/harmonicFit'
import { judgeSweep } from '~~/core/instruments/sweepDoubt'
import type { ReadingSet } from '~~/core/stages/measure/readingSet'
import { CONVERSIONS } from '~~/core/units/unitSystem'
import { drawTurn } from '~~/shared/stages/measure/sweepDrawing'
import { instrumentWords } from '~~/shared/wording/en/instruments'
import type { Meaning } from '~~/shared/wording/meaning'
import { seenClock } from '~~/shared/wording/otherEnd'
import { gapWords, meaningOfSweep, sweepRows } from '~~/shared/wording/sweep'
import SweepBoard from '~/boards/SweepBoard.vue'
import { useSpoken, useTelltale } from '~/live/live'
import type { LiveCircle } from '~/live/useArming'
import { useSweep } from '~/live/useSweep'
import SweepError from './SweepError.vue'

/** A sweep by heads that speak: gathered as the shafts are turned, judged as it comes, and taken as one set. */
const props = defineProps<{
  reading: ReturnType<typeof useReadingForm>
  needles: readonly (LiveCircle & {
    readonly letter: string
    readonly value: number | null
    readonly says: string
    readonly live: boolean
    readonly steady: boolean
  })[]
  /** The set being swept, as it stands. */
  shown: ReadingSet | undefined
  /** What was logged is believed: going on is the next thing, another sweep only may be. */
  believed: boolean
}>()
const meaning = defineModel<Meaning | null>('meaning', { required: true })
const emit = defineEmits<{ end: [] }>()
const job = useJob()
const session = useSession()
const telling = useTelling()
const spoken = useSpoken()
const telltale = useTelltale()
const s = computed(() => instrumentWords(telling.value.words).sweep)

const sweep = useSweep(props.reading, () => Object.fromEntries(props.needles.map((n) => [n.circle, n.place])))
/** Degrees at which it is taken by itself; null while it is not armed. */
const armedFor = ref<number | null>(null)
const begin = () => {
  armedFor.value = null
  sweep.begin()
}
const so = computed(() => sweep.so.value)
const arc = computed(() => so.value.arc)
const degrees = computed(() => Math.round(arc.value))
const set = computed(() => (arc.value >= ARC_REFUSED ? (props.shown ?? null) : null))
const judged = computed(() => judgeSweep(set.value, arc.value, job.measured!.tolerance, job.measured!.target))
const aim = computed(() => judged.value.aim)
watchEffect(() => {
  meaning.value = meaningOfSweep(judged.value, arc.value, telling.value)
})

const seen = (clock: number) => seenClock(((clock % 360) + 360) % 360, job.viewFrom)
/** The way it is turned as it is stored, and as it is seen from here. */
const way = computed((): 1 | -1 => (sweep.sweep.value.way === -1 ? -1 : 1))
const wayHere = computed((): 1 | -1 =>
  job.viewFrom === 'stationary' ? (way.value === 1 ? -1 : 1) : way.value,
)
const turn = computed(() =>
  drawTurn(
    sweep.swept.value,
    set.value?.measured?.fits ?? {},
    { from: so.value.from ?? 0, way: way.value, arc: arc.value, wanted: armedFor.value ?? aim.value },
    CONVERSIONS[session.units].displacement.scale,
  ),
)
const rows = computed(() => sweepRows(judged.value, telling.value))
const kinds = computed(() => [...new Set(rows.value.map((r) => r.unit))].join(', '))
const nameOf = (circle: string) => props.needles.find((n) => n.circle === circle)?.name ?? circle
const missing = computed(() => gapWords(so.value, nameOf, seen, telling.value))
const goes = computed(() => {
  if (sweep.sweep.value.wentBack) return s.value.wentBack
  const kept = Math.max(0, ...Object.values(sweep.swept.value).map((list) => list.length))
  return s.value.oneWay(wayHere.value === 1 ? s.value.clockwise : s.value.against, kept)
})
const apart = computed(() => sweep.apart.value ?? 0)

const taken = ref('')
const asking = ref(false)
const take = (why = '') => {
  sweep.look()
  const swept = degrees.value
  for (const n of props.needles) spoken(n.place)
  if (!job.log(props.reading.read.value.body)) return
  if (why) job.log({ kind: 'remark', payload: { text: s.value.remark(swept, why) } })
  taken.value = s.value.taken(swept)
  telltale.beep()
  telltale.say(taken.value)
  begin()
}
const canTake = computed(() => judged.value.judged !== null)
/** Armed, far enough, and all stand still: hands are on the shaft, so it takes itself. */
const ready = computed(
  () =>
    armedFor.value !== null &&
    arc.value >= armedFor.value - 1 &&
    props.needles.every((n) => n.steady) &&
    canTake.value,
)
watch(ready, (yes) => yes && take())
const nextTake = computed(() => {
  if (armedFor.value !== null)
    return { label: s.value.armed(armedFor.value), act: () => (armedFor.value = null) }
  const at = aim.value
  if (at === null || arc.value >= 359) return { label: s.value.takeNow(degrees.value), act: () => take() }
  return { label: s.value.takeAt(Math.round(at)), act: () => (armedFor.value = Math.round(at)) }
})
/** Nothing is swept and nothing need be. */
const idle = computed(() => props.believed && arc.value < 20 && armedFor.value === null)
const mounted = useMounted()
onMounted(begin)
onBeforeUnmount(() => {
  sweep.end()
  meaning.value = null
})
</script>

<template>
  <SweepBoard
    :from="so.from === null ? null : seen(so.from)"
    :at="so.at === null ? null : seen(so.at)"
    :way="wayHere"
    :arc="arc"
    :wanted="armedFor ?? aim"
    :gaps="so.gaps.map((g) => ({ from: seen(g.from), to: seen(g.to) }))"
    :heads="needles"
    :turn="turn"
    :seen="seen"
    :units="session.units"
  />
  <dl>
    <dt>{{ s.gaps }}</dt>
    <dd>{{ missing }}</dd>
    <dt>{{ s.goes }}</dt>
    <dd>{{ goes }}</dd>
  </dl>
  <p v-if="apart > 3" class="note">{{ s.apart(apart.toFixed(0)) }}</p>
  <div class="acts">
    <el-button class="dye-button" @click="begin">{{ s.again }}</el-button>
    <el-button class="dye-button" @click="emit('end')">{{ s.stop }}</el-button>
  </div>
  <Teleport v-if="mounted" to="#live-ledger" defer>
    <FigureTable v-if="rows.length" :head="[kinds, s.found, '±']">
      <tr v-for="r in rows" :key="r.name">
        <td><VerdictMark :mark="r.verdict === 'unknown' ? 'todo' : r.verdict" /> {{ r.name }}</td>
        <td class="figure">{{ r.value }}</td>
        <td class="figure">{{ r.known }}</td>
      </tr>
    </FigureTable>
    <SweepError :arc="arc" :then="judged.settles && aim !== null && aim > arc ? aim : null" />
  </Teleport>
  <Teleport v-if="mounted" to="#live-next" defer>
    <p v-if="taken && arc < 5" class="muted" role="status">{{ taken }}</p>
    <el-button v-if="canTake && aim !== null" link class="text-button" @click="asking = true">{{
      s.takeAsIs(degrees)
    }}</el-button>
    <el-button :link="idle" :class="idle ? 'text-button' : 'next-button'" @click="nextTake.act">
      <span
        >{{ nextTake.label
        }}<small v-if="!idle && armedFor === null && aim !== null">{{ s.takeNote }}</small></span
      >
    </el-button>
  </Teleport>
  <WhyDialog
    v-model="asking"
    :title="s.whyTitle(degrees)"
    :question="s.why"
    :action="s.takeNow(degrees)"
    @say="take($event)"
  />
</template>

<style scoped>
.note {
  color: var(--brass-on-dye);
  font-size: 15px;
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 2px 18px;
  margin: 0;
  font-size: 15px;
}
dt {
  color: var(--scribe-dim);
}
dd {
  margin: 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}
.acts .el-button {
  margin: 0;
}
.next-button small {
  display: block;
  font-size: 13px;
  font-weight: 400;
}
</style>
