<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import { storeWords } from '~~/shared/wording/viewWords'
import type { LotAnswer } from '~~/shared/api/answers'
import { blankLot, readCount, readLot, type LotTexts } from '~~/shared/stores/form'
import { thickness } from '~~/shared/wording/figures'
import { toCore } from '~~/core/units/unitSystem'
import { newId } from '~/device/newId'

/** Shims that are put into the stores, or what may change about those that lie there. */
const props = defineProps<{ known: LotAnswer | null; places: readonly string[]; sizes: readonly string[] }>()
const emit = defineEmits<{ saved: [] }>()
const shown = defineModel<boolean>({ required: true })
const session = useSession()
const words = useWords()
const w = storeWords.form
const texts = ref<LotTexts>(blankLot('inch'))
const id = ref('')
const tried = ref(false)
const { working, message, refused, clear, send } = useSending()
useOnShown(shown, () => {
  const k = props.known
  texts.value = k
    ? { ...blankLot(k.units), size: k.size, place: k.place, low: String(k.low) }
    : blankLot(session.units)
  id.value = newId()
  tried.value = false
  clear()
})
const read = computed(() => readLot(texts.value, id.value, words))
const low = computed(() => readCount(texts.value.low))
const fault = (box: string) => {
  if (refused.value[box]) return refused.value[box]
  if (!tried.value) return ''
  if (props.known) return box === 'low' && low.value === null ? w.whole : ''
  return read.value.faults[box] ?? ''
}
const title = computed(() => {
  const k = props.known
  return k
    ? w.changeTitle(
        `${thickness(toCore(k.thickness, 'displacement', k.units), k.units)} ${shellWords(words).unitNames[k.units]}`,
      )
    : w.title
})
const done = async (work: () => Promise<unknown>) => {
  if (!(await send(work))) return
  shown.value = false
  emit('saved')
}
const change = (retired: boolean) => {
  const { size, place } = texts.value
  return done(() =>
    askServer(`/api/stores/lots/${props.known!.id}`, {
      method: 'PUT',
      body: { size, place, low: low.value ?? 0, retired, version: props.known!.version },
    }),
  )
}
const save = () => {
  tried.value = true
  if (props.known) return low.value === null ? undefined : change(false)
  const { lot } = read.value
  if (lot) return done(() => askServer('/api/stores/lots', { method: 'POST', body: lot }))
}
</script>

<template>
  <el-dialog v-model="shown" :title="title" width="min(560px, 94vw)" append-to-body destroy-on-close>
    <form class="lot" @submit.prevent="save">
      <template v-if="!known">
        <ChoiceRow
          v-model="texts.units"
          :label="w.units"
          show-label
          :options="[
            { value: 'inch', name: shellWords(words).unitNames.inch },
            { value: 'metric', name: shellWords(words).unitNames.metric },
          ]"
        />
        <ChoiceRow
          v-model="texts.kind"
          :label="w.kind"
          show-label
          :options="[
            { value: 'plain', name: w.plain },
            { value: 'laminated', name: w.laminated },
          ]"
        />
        <NumberBox
          v-model="texts.thickness"
          :label="w.thickness"
          measure="displacement"
          :units="texts.units"
          :note="fault('thickness')"
          :note-is-fault="fault('thickness') !== ''"
        />
        <NumberBox
          v-if="texts.kind === 'laminated'"
          v-model="texts.layer"
          :label="w.layer"
          measure="displacement"
          :units="texts.units"
          :note="fault('layer')"
          :note-is-fault="fault('layer') !== ''"
        />
      </template>
      <FormField :name="w.size">
        <el-autocomplete
          v-model="texts.size"
          :fetch-suggestions="
            (_: string, show: (found: { value: string }[]) => void) => show(sizes.map((value) => ({ value })))
          "
          :aria-label="w.size"
          maxlength="20"
        />
      </FormField>
      <FormField :name="w.place" :fault="fault('place')">
        <el-autocomplete
          v-model="texts.place"
          :fetch-suggestions="
            (_: string, show: (found: { value: string }[]) => void) =>
              show(places.map((value) => ({ value })))
          "
          :aria-label="w.place"
          maxlength="80"
        />
      </FormField>
      <FormField
        v-for="box in known ? (['low'] as const) : (['counted', 'low'] as const)"
        :key="box"
        :name="w[box]"
        :fault="fault(box)"
      >
        <el-input v-model="texts[box]" :aria-label="w[box]" inputmode="numeric" maxlength="6" />
      </FormField>
      <p v-if="message" class="fault wide" role="alert">{{ message }}</p>
      <el-button native-type="submit" class="next-button wide" :loading="working" :disabled="working">{{
        w.save
      }}</el-button>
      <el-button v-if="known" class="quiet-button wide" :disabled="working" @click="change(true)">{{
        w.retire
      }}</el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
.lot {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 16px;
  align-items: start;
}
.wide {
  grid-column: 1 / -1;
}
.fault {
  display: block;
  color: var(--out);
  font-size: 14px;
}
@media (max-width: 560px) {
  .lot {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
