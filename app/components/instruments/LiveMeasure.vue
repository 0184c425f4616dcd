<script setup lang="ts">
import { placeKey } from '~~/core/instruments/places'
import type { ReadingSet } from '~~/core/stages/measure/readingSet'
import { FOUR_QUARTERS } from '~~/shared/stages/measure/form'
import { instrumentWords } from '~~/shared/wording/en/instruments'
import { figure } from '~~/shared/wording/figures'
import type { Meaning } from '~~/shared/wording/meaning'
import { useLive } from '~/live/live'
import { useArming, type LiveCircle } from '~/live/useArming'
import { useLiveTold } from '~/live/useLiveTold'
import LiveSweep from './LiveSweep.vue'

/** Instruments that speak while a set is read: their needles, and reading by itself; or a sweep, which has the board. */
const props = defineProps<{
  reading: ReturnType<typeof useReadingForm>
  named: readonly { readonly id: string; readonly name: string }[]
  /** The set being read, as it stands. */
  shown: ReadingSet | undefined
  /** A position as it is called. */
  place: (clock: number) => string
  /** What was logged is believed: going on is the next thing, another sweep only may be. */
  believed: boolean
}>()
/** A sweep has the board; and what the ledger says of it. */
const sweeping = defineModel<boolean>('sweeping', { required: true })
const meaning = defineModel<Meaning | null>('meaning', { required: true })
const session = useSession()
const telling = useTelling()
const live = useLive()
const told = useLiveTold()
const w = computed(() => instrumentWords(telling.value.words))
const { reading } = props

const circles = computed((): readonly LiveCircle[] =>
  props.named.flatMap(({ id, name }) => {
    const place = placeKey({ at: 'circle', circle: id })
    return live.linkAt(place)?.instrument ? [{ circle: id, place, name }] : []
  }),
)
const needles = computed(() =>
  circles.value.map((c, i) => ({
    ...c,
    letter: 'AB'.charAt(i) || String(i + 1),
    live: live.isLive(c.place),
    value: live.now.value[c.place]?.value ?? null,
    steady: told.steady(c.place),
    says: told.says(c.place),
  })),
)
const alerts = computed(() => circles.value.flatMap((c) => told.alerts(c.place)))
const d = (x: number | null) => figure(x, 'displacement', session.units, { sign: true })
const arming = useArming(
  reading,
  () => (sweeping.value ? [] : circles.value),
  (clock) => props.place(clock),
)
const canSweep = computed(
  () =>
    reading.tellsAngles.value &&
    circles.value.length === props.named.length &&
    circles.value.every((c) => live.now.value[c.place]?.clock != null),
)
const sweep = () => {
  arming.disarm()
  sweeping.value = true
}
const readAtMarks = () => {
  sweeping.value = false
  reading.reset(FOUR_QUARTERS)
}
onBeforeUnmount(() => {
  sweeping.value = false
})
</script>

<template>
  <section v-if="circles.length" class="live" :aria-label="w.open">
    <p v-for="a in alerts" :key="a" class="alert" role="alert">{{ a }}</p>
    <LiveSweep
      v-if="sweeping"
      v-model:meaning="meaning"
      :reading="reading"
      :needles="needles"
      :shown="shown"
      :believed="believed"
      @end="readAtMarks"
    />
    <template v-else>
      <div class="strip">
        <div
          v-for="n in needles"
          :key="n.circle"
          class="needle"
          :class="{ grey: !n.live }"
          :data-live="n.circle"
        >
          <span class="name">{{ n.name }}</span>
          <span class="figure value">{{ d(n.value) }}</span>
          <StillSays :says="n.says" :steady="n.steady" />
        </div>
        <el-button
          class="dye-button"
          :aria-pressed="arming.on.value"
          @click="arming.on.value ? arming.disarm() : arming.arm()"
          >{{ w.take.byItself }}</el-button
        >
        <el-button class="dye-button" :disabled="!needles.some((n) => n.live)" @click="arming.takeNow()">{{
          w.take.now
        }}</el-button>
        <el-button v-if="canSweep" class="dye-button" @click="sweep">{{ w.sweep.start }}</el-button>
      </div>
      <p v-if="arming.on.value || arming.took.value" class="note" role="status">
        {{ arming.took.value || w.take.byItselfNote }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.live {
  display: grid;
  gap: 6px;
  margin-top: 6px;
}
.strip {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}
.strip .el-button {
  margin: 0;
}
.needle {
  display: grid;
  grid-template-columns: auto auto;
  column-gap: 10px;
  align-items: baseline;
  padding: 4px 12px;
  border: 1px solid var(--dye-line);
  border-radius: 4px;
}
.name {
  grid-column: 1 / -1;
  color: var(--scribe-dim);
  font-size: 13px;
}
.value {
  min-width: 74px;
  color: #fff;
  font-size: 22px;
}
.grey .value {
  opacity: 0.45;
}
.alert {
  color: var(--edge-on-dye);
  font-size: 14px;
}
.note {
  color: var(--brass-on-dye);
  font-size: 15px;
}
</style>
