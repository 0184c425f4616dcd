<script setup lang="ts">
import { machineNames } from '~~/shared/wording/machineNames'
import { hotWords } from '~~/shared/wording/en'
import dayjs from 'dayjs'
import { warmKey } from '~~/shared/stages/hotCheck/form'
import { capital } from '~~/shared/wording/capital'

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
    <label class="at">
      <span>{{ v.at }}</span>
      <el-input
        v-model="form.at"
        :aria-label="v.at"
        :placeholder="dayjs(now).format('HH:mm')"
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
