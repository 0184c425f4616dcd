<script setup lang="ts">
import { hasSettled, perMinute } from '~~/core/instruments/settling'
import { stillness } from '~~/core/instruments/steady'
import { instrumentWords } from '~~/shared/wording/en/instruments'
import { liveFigure, liveTyped } from '~~/shared/wording/instruments'
import { useLive, useSpoken, useTelltale } from '~/live/live'
import { useLiveTold } from '~/live/useLiveTold'
import { useZero } from '~/live/useZero'

/**
 * What instruments show that are read into boxes one at a time: thermometers, a gauge on a belt, a level. Each figure
 * is taken by a tap; a gauge that shows one only when a belt is tapped is taken by itself, once each time.
 */
const props = defineProps<{
  /** Where an instrument speaks; one that serves several boxes stands here once for each, by `id`. */
  places: readonly { readonly key: string; readonly name: string; readonly id?: string }[]
  /** Taken by itself as soon as it stands, once for each time that it shows something. */
  byItself?: boolean
  /** It is zeroed before each figure: a dial. */
  zeroes?: boolean
  /** How it goes by the minute is told: a temperature. */
  going?: boolean
}>()
const emit = defineEmits<{
  /** A figure as it would be typed, and in core units; for the place, or its `id`. */
  take: [id: string, text: string, value: number]
}>()
const telling = useTelling()
const live = useLive()
const spoken = useSpoken()
const telltale = useTelltale()
const w = computed(() => instrumentWords(telling.value.words))
const told = useLiveTold()

const rate = (key: string) => perMinute(live.samplesAt(key))
const goingWords = (key: string): string => {
  const by = rate(key)
  if (by === null) return w.value.fill.watching
  if (hasSettled(by)) return w.value.fill.settled
  const size = Math.abs(by) * (telling.value.units === 'inch' ? 1.8 : 1)
  return (by > 0 ? w.value.fill.rising : w.value.fill.falling)(
    `${size.toFixed(1)} ${telling.value.units === 'inch' ? '°F' : '°C'}`,
  )
}
const rows = computed(() =>
  props.places.flatMap(({ key, name, id = key }) => {
    const link = live.linkAt(key)
    if (!link?.instrument) return []
    const now = live.now.value[key]
    const isLive = live.isLive(key)
    return [
      {
        id,
        key,
        name,
        isLive,
        steady: told.steady(key),
        shows: liveFigure(link.instrument, now?.value ?? null, telling.value),
        says: isLive && props.going ? goingWords(key) : told.says(key),
        alerts: told.alerts(key),
      },
    ]
  }),
)
const take = (key: string, id = key) => {
  const link = live.linkAt(key)
  const now = live.now.value[key]
  if (!link?.instrument || now?.middle == null) return
  spoken(key)
  const text = liveTyped(link.instrument, now.middle, telling.value)
  emit('take', id, text, now.middle)
  telltale.beep()
  telltale.say(text)
}
const { fault, zero } = useZero()
const takeAll = () => {
  for (const row of rows.value) if (row.isLive) take(row.key, row.id)
}

/** Seconds without a figure that part one tap of a belt from the next. */
const BETWEEN = 1
const taken = new Map<string, number>()
const stop = live.hear((place, sample) => {
  if (!props.byItself || !props.places.some((p) => p.key === place)) return
  const samples = live.samplesAt(place)
  const before = samples.at(-2)
  const fresh = !before || sample.at - before.at > BETWEEN
  if (fresh) taken.delete(place)
  if (taken.has(place)) return
  const burst = samples.filter((s, i) =>
    samples.slice(i + 1).every((n, j) => n.at - (samples[i + j]?.at ?? 0) <= BETWEEN),
  )
  const graduation = live.linkAt(place)?.instrument?.graduation ?? 0
  const values = burst.slice(-5).flatMap((s) => s.value ?? [])
  const stands =
    burst.length >= 5 && values.length === 5 && Math.max(...values) - Math.min(...values) <= 4 * graduation
  if (!stands && !stillness(burst, graduation).steady) return
  taken.set(place, sample.at)
  take(place)
})
onScopeDispose(stop)
</script>

<template>
  <section v-if="rows.length" class="fill" :aria-label="w.open">
    <span v-for="r in rows" :key="r.id" class="row" :class="{ grey: !r.isLive }" :data-live="r.key">
      <span class="name">{{ r.name }}</span>
      <b class="figure">{{ r.shows }}</b>
      <StillSays :says="r.says" :steady="r.steady" />
      <el-button
        v-if="zeroes"
        class="dye-button"
        :title="w.fill.zeroNote"
        :disabled="!r.isLive"
        @click="zero([live.linkAt(r.key)])"
        >{{ w.fill.zero }}</el-button
      >
      <el-button
        v-if="rows.length === 1 || !going"
        class="dye-button"
        :disabled="!r.isLive"
        :aria-label="`${w.fill.take}: ${r.name}`"
        @click="take(r.key, r.id)"
        >{{ w.fill.take }}</el-button
      >
    </span>
    <el-button v-if="rows.length > 1 && going" class="dye-button" @click="takeAll">{{
      w.fill.takeAll
    }}</el-button>
    <p v-if="fault" class="alert" role="alert">{{ fault }}</p>
    <p v-for="a in [...new Set(rows.flatMap((r) => r.alerts))]" :key="a" class="alert" role="alert">
      {{ a }}
    </p>
  </section>
</template>

<style scoped>
.fill {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 20px;
  margin-top: 10px;
  font-size: 15px;
  color: var(--scribe);
}
.row {
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
.name {
  color: var(--scribe-dim);
}
b {
  font-size: 19px;
  font-weight: 400;
  color: #fff;
}
.grey b {
  opacity: 0.45;
}
.alert {
  flex-basis: 100%;
  color: var(--edge-on-dye);
  font-size: 14px;
}
</style>
