<script setup lang="ts">
import { comeBackWords } from '~~/shared/wording/en'
import type { StandstillFields, StandstillRecord } from '~~/shared/comeBack/standstill'
import { BLANK_STOP, readStop, textsOfStop, type StopTexts } from '~~/shared/comeBack/stopForm'
import { newId } from '~/device/newId'

/** One planned stop of a hall, written or changed; a new one can be repeated weekly. */
const props = defineProps<{ known: StandstillRecord | null; halls: readonly string[] }>()
const emit = defineEmits<{ saved: [] }>()
const shown = defineModel<boolean>({ required: true })
const words = useWords()
const w = comeBackWords(words).stops
const MOST_WEEKS = 26

const form = ref<StopTexts>({ ...BLANK_STOP })
const weeks = ref(1)
/** Ids of what is to be added: the same again when it is sent again. */
const ids = ref<string[]>([])
const sent = ref(0)
const tried = ref(false)
const { working, message, clear, send } = useSending()
useOnShown(shown, () => {
  form.value = props.known ? textsOfStop(props.known) : { ...BLANK_STOP }
  weeks.value = 1
  ids.value = Array.from({ length: MOST_WEEKS }, newId)
  sent.value = 0
  tried.value = false
  clear()
})
const read = computed(() => readStop(form.value, props.known, words))
const fault = (box: keyof StopTexts) => (tried.value ? (read.value.faults[box] ?? '') : '')
const done = async (work: () => Promise<unknown>) => {
  if (!(await send(work))) return
  shown.value = false
  emit('saved')
}
const change = (fields: StandstillFields) =>
  done(() =>
    askServer(`/api/standstills/${props.known!.id}`, {
      method: 'PUT',
      body: { ...fields, version: props.known!.version },
    }),
  )
const save = () => {
  tried.value = true
  const { at } = read.value
  if (!at) return
  if (props.known) return change(at(0))
  return done(async () => {
    // Where it broke off it goes on: what was taken is not sent again.
    for (; sent.value < weeks.value; sent.value++)
      await askServer('/api/standstills', {
        method: 'POST',
        body: { ...at(sent.value), id: ids.value[sent.value] },
      })
  })
}
const callOff = ({ id: _, version: __, ...fields }: StandstillRecord) =>
  change({ ...fields, cancelled: !fields.cancelled })
</script>

<template>
  <el-dialog
    v-model="shown"
    :title="known ? w.change : w.add"
    width="min(520px, 94vw)"
    append-to-body
    destroy-on-close
  >
    <form class="stop" @submit.prevent="save">
      <FormField class="wide" :name="w.hall" :fault="fault('area')">
        <el-select v-model="form.area" filterable allow-create default-first-option :aria-label="w.hall">
          <el-option v-for="h in halls" :key="h" :value="h" :label="h" />
        </el-select>
      </FormField>
      <FormField class="wide" :name="w.day" :fault="fault('day')">
        <el-date-picker
          v-model="form.day"
          type="date"
          value-format="YYYY-MM-DD"
          format="D MMM YYYY"
          :clearable="false"
          :aria-label="w.day"
        />
      </FormField>
      <FormField v-for="box in ['from', 'until'] as const" :key="box" :name="w[box]" :fault="fault(box)">
        <el-input v-model="form[box]" :aria-label="w[box]" inputmode="numeric" maxlength="8" />
      </FormField>
      <p v-if="read.overnight" class="muted wide">{{ w.overnight }}</p>
      <FormField class="wide" :name="w.note">
        <el-input v-model="form.note" :aria-label="w.note" maxlength="200" />
      </FormField>
      <FormField v-if="!known" class="wide" :name="w.weekly">
        <el-input-number v-model="weeks" :min="1" :max="MOST_WEEKS" :aria-label="w.weekly" />
      </FormField>
      <p v-if="message" class="fault wide" role="alert">{{ message }}</p>
      <el-button native-type="submit" class="next-button wide" :loading="working" :disabled="working">{{
        w.save
      }}</el-button>
      <el-button v-if="known" class="quiet-button wide" :disabled="working" @click="callOff(known)">{{
        known.cancelled ? w.again : w.cancel
      }}</el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
.stop {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 14px;
}
.wide {
  grid-column: 1 / -1;
}
.fault {
  display: block;
  color: var(--out);
  font-size: 14px;
}
</style>
