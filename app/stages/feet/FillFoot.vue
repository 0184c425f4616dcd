<script setup lang="ts">
import { actionsWords, softFootWords } from '~~/shared/wording/en'
import type { FootRef, FeetEntries } from '~~/core/stages/feet/entries'
import { footKey, readShims } from '~~/shared/stages/move/form'

/** Another foot than the one advised, or other leaves: which, what goes in and out, and why. */
const props = defineProps<{ feet: readonly { readonly ref: FootRef; readonly name: string }[] }>()
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ fill: [payload: FeetEntries['foot-filled']] }>()
const session = useSession()
const telling = useTelling()
const w = computed(() => softFootWords(telling.value.words).view)
const foot = ref('')
const putIn = ref('')
const takenOut = ref('')
const why = ref('')
const choice = useTemplateRef<{ focus: () => void }>('choice')
const keyOf = (f: FootRef) => footKey(f.pair, f.side)
watch(
  shown,
  (open) => {
    if (open && !foot.value) foot.value = props.feet[0] ? keyOf(props.feet[0].ref) : ''
  },
  { immediate: true },
)
useFirstFocus(shown, () => choice.value)
const read = (text: string) => readShims(text, telling.value)
const fault = (text: string) => {
  const list = read(text)
  return typeof list === 'string' ? list : ''
}
const payload = computed((): FeetEntries['foot-filled'] | null => {
  const at = props.feet.find((f) => keyOf(f.ref) === foot.value)?.ref
  const [into, out] = [read(putIn.value), read(takenOut.value)]
  if (!at || typeof into === 'string' || typeof out === 'string' || why.value.trim() === '') return null
  if (into.length + out.length === 0) return null
  return { units: session.units, change: { ...at, putIn: into, takenOut: out }, why: why.value.trim() }
})
const log = () => {
  if (!payload.value) return
  emit('fill', payload.value)
  putIn.value = takenOut.value = why.value = ''
  shown.value = false
}
</script>

<template>
  <el-dialog v-model="shown" :title="w.otherTitle" width="min(520px, 94vw)" append-to-body destroy-on-close>
    <form class="question" @submit.prevent="log">
      <ChoiceRow
        ref="choice"
        v-model="foot"
        :label="w.which"
        show-label
        :options="feet.map((f) => ({ value: keyOf(f.ref), name: f.name }))"
      />
      <NumberBox
        v-model="putIn"
        :label="w.putIn"
        measure="displacement"
        :units="session.units"
        list
        :note="fault(putIn)"
        :note-is-fault="fault(putIn) !== ''"
      />
      <NumberBox
        v-model="takenOut"
        :label="w.takenOut"
        measure="displacement"
        :units="session.units"
        list
        :note="fault(takenOut)"
        :note-is-fault="fault(takenOut) !== ''"
      />
      <label
        ><span>{{ w.whyOther }}</span>
        <el-input v-model="why" :aria-label="w.whyOther" type="textarea" :rows="2" maxlength="500" />
      </label>
      <p class="muted">{{ actionsWords(telling.words).reasonPrints }}</p>
      <el-button native-type="submit" class="next-button" :disabled="!payload">{{ w.log }}</el-button>
    </form>
  </el-dialog>
</template>
