<script setup lang="ts">
import { machineNames } from '~~/shared/wording/machineNames'
import { hotWords } from '~~/shared/wording/en'
import { placeKey, placeOfKey } from '~~/core/instruments/places'
import { timeWords } from '~~/shared/wording/days'
import { warmKey } from '~~/shared/stages/hotCheck/form'
import { capital } from '~~/shared/wording/capital'

const LiveFill = defineAsyncComponent(() => import('~/components/instruments/LiveFill.vue'))

/** One look at the feet: a temperature a foot pair, and when it was read. */
const props = defineProps<{ hot: ReturnType<typeof useHotForm>; locked?: boolean }>()
const emit = defineEmits<{ log: [] }>()
const session = useSession()
const telling = useTelling()
const { form, pairs, read, now, state, degrees } = props.hot
const v = computed(() => hotWords(telling.value.words).view)
const names = computed(() => machineNames(state.value))
const sides = computed(() =>
  (['stationary', 'movable'] as const).map((machine) => ({
    machine,
    pairs: pairs.value.filter((p) => p.machine === machine),
  })),
)
/** Thermometers at the feet, where some speak. */
const job = useJob()
const warm = computed(() =>
  pairs.value.map((p) => ({
    key: placeKey({ at: 'warmth', machine: p.machine, pair: p.id }),
    name: `${names.value[p.machine]}, ${telling.value.footNames(p.id, p.machine)}`,
  })),
)
const keyAt = (place: string) => {
  const at = placeOfKey(place)
  return at?.at === 'warmth' ? warmKey({ machine: at.machine, id: at.pair }) : ''
}
const box = (key: string) => {
  const remark = read.value.remarks[key]
  return {
    measure: 'plain' as const,
    units: session.units,
    signed: true,
    onDye: true,
    disabled: props.locked ?? false,
    note: remark?.text ?? '',
    noteIsFault: remark?.fault ?? false,
  }
}
</script>

<template>
  <div class="boxes">
    <fieldset v-for="m in sides" :key="m.machine" :style="{ '--pairs': m.pairs.length }">
      <legend>{{ capital(names[m.machine]) }}</legend>
      <NumberBox
        v-for="p in m.pairs"
        :key="warmKey(p)"
        :model-value="form.feet[warmKey(p)] ?? ''"
        v-bind="box(warmKey(p))"
        :label="`${capital(telling.footNames(p.id, p.machine))}, ${degrees}`"
        @update:model-value="form.feet[warmKey(p)] = $event"
        @enter="emit('log')"
      />
    </fieldset>
    <LiveFill
      v-if="job.links.length > 0 && !locked"
      class="live"
      going
      :places="warm"
      @take="(place, text) => (form.feet[keyAt(place)] = text)"
    />
    <label class="at">
      <span>{{ v.at }}</span>
      <el-input
        v-model="form.at"
        :aria-label="v.at"
        :placeholder="timeWords(now)"
        :disabled="locked"
        maxlength="5"
      />
      <span v-if="read.remarks.at" class="fault" role="alert">{{ read.remarks.at.text }}</span>
    </label>
  </div>
</template>

<style scoped>
.boxes {
  display: grid;
  grid-template-columns: 1fr 1fr minmax(96px, 0.5fr);
  gap: 12px 22px;
  align-items: end;
  margin-top: 16px;
}
.live {
  grid-column: 1 / -1;
  order: 5;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  min-width: 0;
  display: grid;
  grid-template-columns: repeat(var(--pairs), minmax(0, 1fr));
  gap: 12px;
}
legend {
  color: #fff;
  font-weight: 600;
  padding: 0 0 4px;
}
.at > span:first-child {
  display: block;
  color: var(--scribe-dim);
  font-size: 14px;
  margin-bottom: 5px;
}
.fault {
  font-size: 14px;
  color: var(--out-on-dye);
}
@media (max-width: 640px) {
  .boxes {
    grid-template-columns: 1fr;
  }
}
</style>
