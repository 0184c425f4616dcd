<script setup lang="ts">
import { placeKey, placeOfKey, type Place } from '~~/core/instruments/places'
import type { InstrumentLink } from '~~/shared/instruments/link'
import type { Command } from '~~/shared/instruments/protocol'
import { instrumentWords } from '~~/shared/wording/en/instruments'
import { calibrationWords, instrumentName, liveFigure, placeWords } from '~~/shared/wording/instruments'
import { seenHour } from '~~/shared/wording/otherEnd'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { samePlace, useInstrumentPlaces } from '~/live/places'
import { useLive, useTelltale } from '~/live/live'

/** Which instrument stands where: a code for each place, what it shows, and how its line is. */
const shown = defineModel<boolean>({ required: true })
const job = useJob()
const session = useSession()
const telling = useTelling()
const w = computed(() => instrumentWords(telling.value.words))
const live = useLive()
const places = useInstrumentPlaces()
const telltale = useTelltale()
const today = new Date().toISOString()
const fault = ref('')
const busy = ref(false)
/** Which side a dial beside an end stands at, until it is paired. */
const sides = ref<Record<string, '3' | '9'>>({})

const rows = computed(() => {
  const linked = job.links.flatMap((link) => {
    const place = placeOfKey(link.place)
    return place ? [{ place, link }] : []
  })
  const all: { place: Place; link: InstrumentLink | null }[] = places.value.map((place) => ({
    place,
    link: linked.find((l) => samePlace(l.place, place))?.link ?? null,
  }))
  // What stands where nothing is asked for any more is shown until it is released.
  for (const l of linked) if (!all.some((r) => samePlace(r.place, l.place))) all.push(l)
  return all
})
const groups = computed(() =>
  (['level', 'foot', 'circle', 'side', 'warmth', 'belt'] as const)
    .map((at) => ({ at, rows: rows.value.filter((r) => r.place.at === at) }))
    .filter((g) => g.rows.length > 0),
)
const keyOf = (place: Place) => placeKey(place)
const sideOf = (place: Place) =>
  place.at === 'side' ? (sides.value[keyOf({ ...place, from: '3' })] ?? '3') : '3'
const ask = async (what: () => Promise<unknown> | undefined) => {
  fault.value = ''
  busy.value = true
  try {
    await what()
  } catch (failure) {
    if (!(failure instanceof ApiFailure)) throw failure
    fault.value = failure.status === 0 ? w.value.notReached : failure.message
  } finally {
    busy.value = false
  }
}
const pair = (place: Place) => {
  const at = place.at === 'side' ? { ...place, from: sideOf(place) } : place
  return ask(() => job.instruments()?.wait(job.id, keyOf(at), session.authorId))
}
const tell = (link: InstrumentLink, command: Command) =>
  ask(() => job.instruments()?.tell(job.id, link.id, command))
const release = (link: InstrumentLink) => ask(() => job.instruments()?.release(job.id, link.id))
const shows = (link: InstrumentLink) => {
  const now = live.now.value[link.place]
  if (!link.instrument || !now) return ''
  const { kind } = link.instrument
  const text = liveFigure(link.instrument, now.value, telling.value)
  return kind === 'dial' || kind === 'head' ? `${text} ${UNIT_NAMES[session.units].displacement}` : text
}
const says = (link: InstrumentLink): string =>
  [
    link.instrument ? instrumentName(link.instrument, telling.value) : '',
    w.value.states[live.standing(link.place)],
    link.trouble ? w.value.trouble[link.trouble] : '',
    link.battery === null ? '' : w.value.battery(link.battery),
    link.instrument ? calibrationWords(link.instrument.calibrated, today, telling.value) : '',
    placeOfKey(link.place)?.at === 'side' && link.place.endsWith(':9')
      ? w.value.standsAt(seenHour('9', job.viewFrom))
      : '',
  ]
    .filter(Boolean)
    .join(' · ')
const isLive = (link: InstrumentLink) => live.isLive(link.place)
</script>

<template>
  <el-dialog v-model="shown" :title="w.open" width="min(680px, 96vw)" append-to-body>
    <p class="muted">{{ w.about }}</p>
    <p class="telltale">
      <el-checkbox v-model="telltale.sound.value">{{ w.take.sound }}</el-checkbox>
      <el-checkbox v-model="telltale.aloud.value">{{ w.take.speak }}</el-checkbox>
    </p>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <section v-for="g in groups" :key="g.at" :aria-label="w.groups[g.at]">
      <h3>{{ w.groups[g.at] }}</h3>
      <div
        v-for="{ place, link } in g.rows"
        :key="keyOf(place)"
        class="row"
        :data-place="link?.place ?? keyOf(place)"
      >
        <div class="who">
          <b>{{ placeWords(place, telling) }}</b>
          <template v-if="link?.state === 'awaited'">
            <p class="code" role="status">
              <span class="visually-hidden">{{ w.code(link.code ?? '') }}</span>
              <span class="figure" aria-hidden="true">{{ link.code }}</span>
            </p>
            <p class="muted small">{{ w.codeHolds }}</p>
          </template>
          <p v-else-if="link" class="muted small">{{ says(link) }}</p>
        </div>
        <span v-if="link && link.state !== 'awaited'" class="figure shows" :class="{ grey: !isLive(link) }">{{
          shows(link)
        }}</span>
        <div class="acts">
          <el-radio-group
            v-if="place.at === 'side' && !link"
            :model-value="sideOf(place)"
            :aria-label="w.sideAsk"
            @update:model-value="sides[keyOf({ ...place, from: '3' })] = $event as '3' | '9'"
          >
            <el-radio-button v-for="hour in ['9', '3'] as const" :key="hour" :value="hour">{{
              seenHour(hour, job.viewFrom)
            }}</el-radio-button>
          </el-radio-group>
          <template v-if="link && link.state !== 'awaited'">
            <el-button :disabled="busy || !isLive(link)" @click="tell(link, 'beep')">{{ w.beep }}</el-button>
            <el-button :disabled="busy || !isLive(link)" @click="tell(link, 'zero')">{{ w.zero }}</el-button>
          </template>
          <el-button v-if="link" :disabled="busy" @click="release(link)">{{ w.release }}</el-button>
          <el-button
            v-else
            :disabled="busy"
            :aria-label="`${w.pair}: ${placeWords(place, telling)}`"
            @click="pair(place)"
            >{{ w.pair }}</el-button
          >
        </div>
      </div>
    </section>
  </el-dialog>
</template>

<style scoped>
section {
  margin-top: 14px;
}
h3 {
  font-size: 14px;
  color: var(--muted);
  border-bottom: 1px solid var(--hairline);
  padding-bottom: 4px;
}
.row {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 56px;
  padding: 6px 0;
  border-bottom: 1px solid var(--hairline);
}
.who {
  flex: 1;
  min-width: 0;
}
.who p {
  margin: 2px 0 0;
}
.small {
  font-size: 14px;
}
.code .figure {
  font-size: 30px;
  font-weight: 600;
  letter-spacing: 0.12em;
}
.shows {
  font-size: 20px;
  white-space: nowrap;
}
.grey {
  color: var(--muted);
  opacity: 0.75;
}
.acts {
  display: flex;
  align-items: center;
  gap: 8px;
}
.acts .el-button {
  margin: 0;
  min-height: var(--touch);
}
.telltale {
  display: flex;
  gap: 20px;
}
.fault {
  border-left: 3px solid var(--out);
  padding-left: 12px;
}
@media (max-width: 640px) {
  .row {
    flex-wrap: wrap;
  }
  .who {
    flex-basis: 100%;
  }
}
</style>
