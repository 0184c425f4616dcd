<script setup lang="ts">
import { VIBRATION_PLACES, VIBRATION_WAYS } from '~~/core/stages/open/entries'
import {
  blankVibration,
  nameVibrationUnits,
  pointKey,
  readVibration,
  textsOfVibration,
  type VibrationTexts,
} from '~~/shared/stages/open/vibrationForm'
import { vibrationWords } from '~~/shared/wording/en'
import { machineNames } from '~~/shared/wording/machineNames'
import { capital } from '~~/shared/wording/capital'

/** Boxes for what a vibration meter said, before or after the work. */
const props = defineProps<{ moment: 'before' | 'after' }>()
const emit = defineEmits<{ kept: [] }>()
const job = useJob()
const session = useSession()
const telling = useTelling()
const w = computed(() => vibrationWords(telling.value.words))
const names = computed(() => machineNames(job.shaken!))
const asNoted = (): VibrationTexts => {
  const noted = job.shaken!.vibration[props.moment]
  return noted ? textsOfVibration(noted.payload, session.units) : blankVibration(session.units)
}
const { draft: form, clear } = useDraft<VibrationTexts>(`vibration.${props.moment}`, asNoted)
useUnitsOfDraft(form, nameVibrationUnits)
const read = computed(() => readVibration(form.value, props.moment, session.units, telling.value.words))
const keep = () => {
  if (!read.value.payload || !job.log({ kind: 'vibration-noted', payload: read.value.payload })) return
  clear()
  emit('kept')
}
</script>

<template>
  <form @submit.prevent="keep">
    <p class="muted">{{ w.measured }}</p>
    <table>
      <thead>
        <tr>
          <th scope="col">{{ w.unit[session.units] }}</th>
          <th v-for="way in VIBRATION_WAYS" :key="way" scope="col">{{ capital(w.ways[way]) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="at in VIBRATION_PLACES" :key="at">
          <th scope="row">{{ capital(w.places[at](names.movable, names.stationary)) }}</th>
          <td v-for="way in VIBRATION_WAYS" :key="way">
            <NumberBox
              :model-value="form.values[pointKey(at, way)] ?? ''"
              :label="`${w.places[at](names.movable, names.stationary)}, ${w.ways[way]}`"
              hide-label
              measure="plain"
              :units="session.units"
              :note="read.faults[pointKey(at, way)] ?? ''"
              :note-is-fault="pointKey(at, way) in read.faults"
              @update:model-value="form.values[pointKey(at, way)] = $event"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <label>
      <span>{{ w.words }}</span>
      <el-input v-model="form.words" :aria-label="w.words" maxlength="500" />
    </label>
    <p class="muted">{{ w.hint }}</p>
    <el-button native-type="submit" class="next-button" :disabled="!read.payload">{{ w.keep }}</el-button>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 12px;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 400;
  font-size: 14px;
  color: var(--muted);
  padding: 4px 8px 4px 0;
}
td,
thead th + th {
  padding: 4px 0 4px 8px;
}
label span {
  display: block;
  color: var(--muted);
  font-size: 14px;
  margin-bottom: 4px;
}
</style>
