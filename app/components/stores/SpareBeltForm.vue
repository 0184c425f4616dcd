<script setup lang="ts">
import { BELT_CONSTRUCTIONS } from '~~/core/register/beltMachine'
import type { SpareBeltsAnswer } from '~~/shared/api/answers'
import { readCount } from '~~/shared/stores/form'
import { blankSpare, readSpare, type SpareTexts } from '~~/shared/stores/spareForm'
import { shellWords } from '~~/shared/wording/en'
import { spareName } from '~~/shared/wording/spareBelts'
import { recordWords, storeWords } from '~~/shared/wording/viewWords'
import { newId } from '~/device/newId'

/** Spare belts that are put into the stores, or what may change about those that lie there. */
const props = defineProps<{
  known: SpareBeltsAnswer | null
  places: readonly string[]
  sections: readonly string[]
}>()
const emit = defineEmits<{ saved: [] }>()
const shown = defineModel<boolean>({ required: true })
const session = useSession()
const words = useWords()
const w = storeWords.belts
const texts = ref<SpareTexts>(blankSpare(session.units))
const id = ref('')
const tried = ref(false)
const { working, message, refused, clear, send } = useSending()
useOnShown(shown, () => {
  const k = props.known
  texts.value = { ...blankSpare(session.units), ...(k ? { place: k.place, low: String(k.low) } : {}) }
  id.value = newId()
  tried.value = false
  clear()
})
const read = computed(() => readSpare(texts.value, id.value, words))
const low = computed(() => readCount(texts.value.low))
const fault = (box: string) => {
  if (refused.value[box]) return refused.value[box]
  if (!tried.value) return ''
  if (props.known) return box === 'low' && low.value === null ? storeWords.form.whole : ''
  return read.value.faults[box] ?? ''
}
const suggest =
  (of: readonly string[]) =>
  (_: string, show: (found: { value: string }[]) => void): void =>
    show(of.map((value) => ({ value })))
const done = async (work: () => Promise<unknown>) => {
  if (!(await send(work))) return
  shown.value = false
  emit('saved')
}
const change = (retired: boolean) => {
  const { known } = props
  if (!known) return
  const { id: lot, version } = known
  const body = { place: texts.value.place, low: low.value ?? 0, retired, version }
  return done(() => askServer(`/api/stores/belts/${lot}`, { method: 'PUT', body }))
}
const save = () => {
  tried.value = true
  if (props.known) return low.value === null ? undefined : change(false)
  const { belts } = read.value
  if (belts) return done(() => askServer('/api/stores/belts', { method: 'POST', body: belts }))
}
</script>

<template>
  <el-dialog
    v-model="shown"
    :title="known ? w.changeTitle(spareName(known, { words, units: session.units })) : w.form.title"
    width="min(560px, 94vw)"
    append-to-body
    destroy-on-close
  >
    <form class="belts" @submit.prevent="save">
      <template v-if="!known">
        <FormField :name="w.form.section" :fault="fault('section')">
          <el-autocomplete
            v-model="texts.section"
            :fetch-suggestions="suggest(sections)"
            :aria-label="w.form.section"
            maxlength="20"
          />
        </FormField>
        <FormField :name="w.form.construction">
          <el-select v-model="texts.construction" :aria-label="w.form.construction" :empty-values="[null]">
            <el-option value="" :label="w.form.anyConstruction" />
            <el-option
              v-for="c in BELT_CONSTRUCTIONS"
              :key="c"
              :value="c"
              :label="recordWords.constructions[c]"
            />
          </el-select>
        </FormField>
        <ChoiceRow
          v-model="texts.units"
          :label="storeWords.form.units"
          show-label
          :options="[
            { value: 'inch', name: shellWords(words).unitNames.inch },
            { value: 'metric', name: shellWords(words).unitNames.metric },
          ]"
        />
        <NumberBox
          v-model="texts.length"
          :label="w.form.length"
          measure="distance"
          :units="texts.units"
          :note="fault('length')"
          :note-is-fault="fault('length') !== ''"
        />
        <ChoiceRow
          v-model="texts.piece"
          class="wide"
          :label="w.form.piece"
          show-label
          :options="(['loose', 'set'] as const).map((value) => ({ value, name: w.form.pieces[value] }))"
        />
        <FormField v-if="texts.piece === 'set'" :name="w.form.together" :fault="fault('together')">
          <el-input
            v-model="texts.together"
            :aria-label="w.form.together"
            inputmode="numeric"
            maxlength="2"
          />
        </FormField>
        <FormField :name="w.form.counted" :fault="fault('counted')">
          <el-input v-model="texts.counted" :aria-label="w.form.counted" inputmode="numeric" maxlength="6" />
        </FormField>
      </template>
      <FormField :name="w.form.place" :fault="fault('place')">
        <el-autocomplete
          v-model="texts.place"
          :fetch-suggestions="suggest(places)"
          :aria-label="w.form.place"
          maxlength="80"
        />
      </FormField>
      <FormField :name="storeWords.form.low" :fault="fault('low')">
        <el-input v-model="texts.low" :aria-label="storeWords.form.low" inputmode="numeric" maxlength="6" />
      </FormField>
      <p v-if="message" class="fault wide" role="alert">{{ message }}</p>
      <div class="wide acts">
        <el-button native-type="submit" class="next-button" :loading="working" :disabled="working">{{
          storeWords.form.save
        }}</el-button>
        <el-button v-if="known" class="quiet-button" :disabled="working" @click="change(true)">{{
          storeWords.form.retire
        }}</el-button>
      </div>
    </form>
  </el-dialog>
</template>

<style scoped>
.belts {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 14px 18px;
  align-items: start;
}
.wide {
  grid-column: 1 / -1;
}
.acts {
  display: grid;
  gap: 10px;
}
.acts .el-button {
  margin: 0;
}
.fault {
  color: var(--out);
}
@media (max-width: 560px) {
  .belts {
    grid-template-columns: 1fr;
  }
}
</style>
