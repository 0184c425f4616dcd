<script setup lang="ts">
import { swing } from '~~/core/instruments/nudge'
import { placeKey } from '~~/core/instruments/places'
import type { Sample } from '~~/core/instruments/steady'
import { readNudge } from '~~/core/setup/nudge'
import { instrumentWords } from '~~/shared/wording/en/instruments'
import { circleName } from '~~/shared/wording/circles'
import { asTyped, figure } from '~~/shared/wording/figures'
import { useLive } from '~/live/live'

/** Which head is which, proved by a nudge: both needles are watched, and lines that are mixed up change places. */
const emit = defineEmits<{ nudged: [own: string, other: string] }>()
const job = useJob()
const session = useSession()
const telling = useTelling()
const live = useLive()
const w = computed(() => instrumentWords(telling.value.words))
const HEADS = ['movable', 'stationary'] as const
const placeOf = (circle: (typeof HEADS)[number]) => placeKey({ at: 'circle', circle })
const nameOf = (circle: (typeof HEADS)[number]) => circleName(circle, telling.value)
const there = computed(() => HEADS.every((c) => live.linkAt(placeOf(c))?.instrument))
/** Seconds that it is watched. */
const WATCHED = 8
const began = ref<number | null>(null)
const seen = shallowRef<Readonly<Record<string, readonly Sample[]>>>({})
const fault = ref('')
const mixed = ref(false)
const told = ref('')
const graduation = computed(() =>
  Math.max(...HEADS.map((c) => live.linkAt(placeOf(c))?.instrument?.graduation ?? 0)),
)
const swings = computed(() => ({
  movable: swing(seen.value.movable ?? []),
  stationary: swing(seen.value.stationary ?? []),
}))
const finish = () => {
  began.value = null
  const { movable, stationary } = swings.value
  const says = readNudge(movable, stationary, graduation.value)
  mixed.value = says === 'swapped'
  if (says !== 'too-little')
    emit(
      'nudged',
      asTyped(Number(movable.toFixed(4)), 'displacement', session.units),
      asTyped(Number(stationary.toFixed(4)), 'displacement', session.units),
    )
}
const stop = live.hear((place, sample) => {
  const circle = HEADS.find((c) => placeOf(c) === place)
  if (began.value === null || !circle) return
  const list = [...(seen.value[circle] ?? []), sample]
  seen.value = { ...seen.value, [circle]: list }
  const late = Date.now() - began.value > WATCHED * 1000
  const felt = HEADS.some((c) => Math.abs(swings.value[c]) > 10 * graduation.value)
  const back = list.slice(-12)
  const atRest =
    felt &&
    HEADS.every((c) => {
      const own = (seen.value[c] ?? []).slice(-12).flatMap((s) => s.value ?? [])
      return own.length >= 12 && Math.max(...own) - Math.min(...own) < 5 * graduation.value
    })
  if (late || (back.length >= 12 && atRest)) finish()
})
onScopeDispose(stop)
const start = () => {
  seen.value = {}
  told.value = ''
  mixed.value = false
  began.value = Date.now()
}
const swap = async () => {
  fault.value = ''
  try {
    await job.instruments()?.swap(job.id, [placeOf('movable'), placeOf('stationary')])
    mixed.value = false
    told.value = w.value.nudge.swapped
    emit('nudged', '', '')
  } catch (failure) {
    if (!(failure instanceof ApiFailure)) throw failure
    fault.value = failure.message
  }
}
const SIZE = { width: 130, height: 30 }
/** What a needle did while it was watched. */
const trace = (circle: string): string => {
  const list = seen.value[circle] ?? []
  const start = list.find((s) => s.value !== null)?.value ?? 0
  const most = Math.max(graduation.value * 20, ...HEADS.map((c) => Math.abs(swings.value[c])))
  return list
    .flatMap((s, i) => (s.value === null ? [] : [[i, s.value - start] as const]))
    .map(
      ([i, v], n) =>
        `${n === 0 ? 'M' : 'L'}${((i / Math.max(60, list.length)) * SIZE.width).toFixed(1)} ${(SIZE.height / 2 - (v / most) * (SIZE.height / 2 - 2)).toFixed(1)}`,
    )
    .join('')
}
</script>

<template>
  <section v-if="there" class="nudge" :aria-label="w.nudge.start">
    <el-button class="dye-button" :disabled="began !== null" @click="start">{{ w.nudge.start }}</el-button>
    <span v-if="began !== null" class="asks" role="status">{{
      w.nudge.asks(nameOf('movable').toLowerCase())
    }}</span>
    <span v-for="c in Object.keys(seen).length ? HEADS : []" :key="c" class="trace">
      {{ nameOf(c) }}
      <svg :viewBox="`0 0 ${SIZE.width} ${SIZE.height}`" aria-hidden="true"><path :d="trace(c)" /></svg>
      <b class="figure">{{ figure(swings[c], 'displacement', session.units) }}</b>
    </span>
    <el-button v-if="mixed" class="dye-button" @click="swap">{{ w.nudge.swap }}</el-button>
    <p v-if="told || fault" class="asks" role="status">{{ fault || told }}</p>
  </section>
</template>

<style scoped>
.nudge {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 18px;
  color: var(--scribe);
}
.asks {
  color: var(--brass-on-dye);
  font-weight: 600;
}
.trace {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  font-size: 14px;
}
.trace svg {
  width: 130px;
}
.trace path {
  fill: none;
  stroke: #fff;
  stroke-width: 1.6;
}
b {
  font-weight: 400;
  color: #fff;
}
</style>
