<script setup lang="ts">
import { machineNames } from '~~/shared/wording/machineNames'
import { vibrationWords } from '~~/shared/wording/en'
import { VIBRATION_PLACES, VIBRATION_WAYS } from '~~/core/stages/open/entries'
import {
  blankVibration,
  nameVibrationUnits,
  pointKey,
  readVibration,
  textsOfVibration,
  type VibrationTexts,
} from '~~/shared/stages/open/vibrationForm'
import { vibrationReadWords } from '~~/shared/wording/vibration'
import { capital } from '~~/shared/wording/telling'

/** What was noted of vibration, and a dialog to note it before or after the work. */
const props = defineProps<{ moment: 'before' | 'after' }>()
const job = useJob()
const session = useSession()
const telling = useTelling()
const w = computed(() => vibrationWords(telling.value.words))
const state = computed(() => job.coupled!)
const names = computed(() => machineNames(state.value))
const lines = computed(() => vibrationReadWords(state.value.vibration, names.value, telling.value))
const noted = computed(() => state.value.vibration[props.moment])
const asNoted = (): VibrationTexts =>
  noted.value ? textsOfVibration(noted.value.payload, session.units) : blankVibration(session.units)
const { draft: form, clear } = useDraft<VibrationTexts>(`vibration.${props.moment}`, asNoted)
useUnitsOfDraft(form, nameVibrationUnits)
const read = computed(() => readVibration(form.value, props.moment, session.units, telling.value.words))
const shown = ref(false)
const later = useLater(shown)
const keep = () => {
  if (!read.value.payload || !job.log({ kind: 'vibration-noted', payload: read.value.payload })) return
  clear()
  shown.value = false
}
</script>

<template>
  <div class="vibration">
    <p v-for="line in lines" :key="line" class="muted">{{ line }}</p>
    <el-button v-if="!state.closing" link class="text-button" @click="shown = true">{{
      w.note[moment]
    }}</el-button>
    <LazyElDialog
      v-if="later"
      v-model="shown"
      :title="w.title[moment]"
      width="min(620px, 94vw)"
      append-to-body
      destroy-on-close
    >
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
    </LazyElDialog>
  </div>
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
.vibration p + p {
  margin-top: 4px;
}
</style>
