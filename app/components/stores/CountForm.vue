<script setup lang="ts">
import { storeWords } from '~~/shared/wording/viewWords'
import { readCount } from '~~/shared/stores/form'
import { newId } from '~/device/newId'

/** Somebody counts what lies there: from now on that rules. */
const props = defineProps<{
  lot: { readonly id: string; readonly now: number; readonly version: number } | null
  title: string
  address: '/api/stores/lots' | '/api/stores/belts'
}>()
const emit = defineEmits<{ saved: [] }>()
const shown = defineModel<boolean>({ required: true })
const session = useSession()
const w = storeWords.form
const typed = ref('')
const id = ref('')
const tried = ref(false)
const box = useTemplateRef<{ focus: () => void }>('box')
useFirstFocus(shown, () => box.value)
const { working, message, clear, send } = useSending()
useOnShown(shown, () => {
  typed.value = ''
  id.value = newId()
  tried.value = false
  clear()
})
const counted = computed(() => readCount(typed.value))
const off = computed(() => (counted.value === null || !props.lot ? 0 : counted.value - props.lot.now))
const save = async () => {
  tried.value = true
  if (counted.value === null || !props.lot) return
  if (session.authorId === '') {
    message.value = w.noReader
    return
  }
  const { id: lot, version } = props.lot
  const body = { id: id.value, counted: counted.value, author: session.authorId, version }
  if (!(await send(() => askServer(`${props.address}/${lot}/counts`, { method: 'POST', body })))) return
  shown.value = false
  emit('saved')
}
</script>

<template>
  <el-dialog v-model="shown" :title="title" width="min(440px, 94vw)" append-to-body destroy-on-close>
    <form v-if="lot" class="count" @submit.prevent="save">
      <p>{{ w.expected(lot.now) }}</p>
      <label>
        <span>{{ w.counted }}</span>
        <el-input ref="box" v-model="typed" :aria-label="w.counted" inputmode="numeric" maxlength="6" />
        <span v-if="tried && counted === null" class="fault" role="alert">{{ w.whole }}</span>
        <span v-else-if="off !== 0" class="muted">{{ storeWords.missing(off) }}</span>
      </label>
      <p v-if="message" class="fault" role="alert">{{ message }}</p>
      <el-button native-type="submit" class="next-button" :loading="working" :disabled="working">{{
        w.saveCount
      }}</el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
.count {
  display: grid;
  gap: 12px;
}
label > span {
  display: block;
  margin-bottom: 4px;
  font-size: 14px;
}
.fault {
  color: var(--out);
}
</style>
