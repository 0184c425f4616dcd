<script setup lang="ts">
import { placeOfKey } from '~~/core/instruments/places'
import { keyOfPair } from '~~/core/plan/pairNames'
import { DRIFT_LIMIT } from '~~/core/stages/move/push'
import { fromCore } from '~~/core/units/unitSystem'
import { instrumentWords } from '~~/shared/wording/en/instruments'
import { figure } from '~~/shared/wording/figures'
import { placeWords } from '~~/shared/wording/instruments'
import { pairName } from '~~/shared/wording/telling'
import { useSpoken } from '~/live/live'
import { useLivePush } from '~/live/useLivePush'
import { useLiveTold } from '~/live/useLiveTold'
import { useZero } from '~/live/useZero'

/** Dials beside the ends, or heads at 3 or 9, while a machine is pushed and tightened: their counts fall on the board. */
const props = defineProps<{ push: ReturnType<typeof usePushForm> }>()
const job = useJob()
const session = useSession()
const telling = useTelling()
const spoken = useSpoken()
const w = computed(() => instrumentWords(telling.value.words))
const { live, places, byHeads, toGo, watched } = useLivePush(() => props.push.logged.value)
const told = useLiveTold()
const { push } = props
watch(watched, (now) => (push.live.value = now), { immediate: true })
onBeforeUnmount(() => (push.live.value = null))

const needles = computed(() =>
  places.value.map((key) => {
    const link = live.linkAt(key)!
    const place = placeOfKey(key)!
    const now = live.now.value[key]
    return {
      key,
      link,
      name: placeWords(place, telling.value),
      value: figure(now?.value ?? null, 'displacement', session.units, { sign: true }),
      live: live.isLive(key),
      steady: told.steady(key),
      says: told.says(key),
      alerts: told.alerts(key),
    }
  }),
)
const { fault, zero } = useZero()
/** The counts as they stand, logged as anybody would type them. */
const take = () => {
  const units = session.units
  const counts = push.logged.value.ends.flatMap((end) => {
    const now = toGo.value[keyOfPair(end)]
    if (now === undefined) return []
    const own = Number(fromCore(now, 'displacement', units).toFixed(units === 'inch' ? 2 : 4))
    return [{ machine: end.machine, pair: end.id, toGo: own }]
  })
  if (counts.length === 0) return
  for (const n of needles.value) spoken(n.key)
  job.log({ kind: 'counts-read', payload: { units, when: push.when.value, counts } })
}
/** While it is tightened: how far each end has shifted since the last count that was logged. */
const drift = computed(() =>
  push.when.value !== 'tightened'
    ? []
    : push.logged.value.ends.flatMap((end) => {
        const now = toGo.value[keyOfPair(end)]
        if (now === undefined) return []
        const by = Math.abs(end.toGo - now)
        return [
          {
            key: keyOfPair(end),
            name: pairName(telling.value, end),
            by: figure(by, 'displacement', session.units),
            over: by > DRIFT_LIMIT,
          },
        ]
      }),
)
const driftLimit = computed(() => figure(DRIFT_LIMIT, 'displacement', session.units, { unit: true }))
const steady = computed(() => needles.value.every((n) => n.steady))
const mounted = useMounted()
</script>

<template>
  <section v-if="places.length" class="live" :aria-label="w.open">
    <span class="what">{{ byHeads ? w.push.watchingHeads : w.push.watching }}</span>
    <span v-for="n in needles" :key="n.key" class="needle" :class="{ grey: !n.live }" :data-live="n.key">
      {{ n.name }} <b class="figure">{{ n.value }}</b>
      <StillSays :says="n.says" :steady="n.steady" />
    </span>
    <el-button class="dye-button" :title="w.push.zeroNote" @click="zero(needles.map((n) => n.link))">{{
      w.push.zero
    }}</el-button>
    <p v-if="drift.length" class="drift">
      {{ w.push.drift(driftLimit) }}
      <span v-for="e in drift" :key="e.key" :class="{ over: e.over }">
        <VerdictMark :mark="e.over ? 'out' : 'in'" on-dye /> {{ e.name }} <b class="figure">{{ e.by }}</b>
      </span>
    </p>
    <p v-for="a in needles.flatMap((n) => n.alerts)" :key="a" class="alert" role="alert">{{ a }}</p>
    <p v-if="fault" class="alert" role="alert">{{ fault }}</p>
    <Teleport v-if="mounted && watched && !push.typed.value" to="#live-next" defer>
      <el-button class="next-button" :disabled="!steady" @click="take">{{ w.push.take }}</el-button>
    </Teleport>
  </section>
</template>

<style scoped>
.live {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  font-size: 15px;
  color: var(--scribe);
}
.what {
  color: var(--scribe-dim);
}
b {
  font-size: 18px;
  font-weight: 400;
  color: #fff;
}
.grey b {
  opacity: 0.45;
}
.drift {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
.over {
  color: var(--out-on-dye);
}
.alert {
  flex-basis: 100%;
  color: var(--edge-on-dye);
  font-size: 14px;
}
</style>
