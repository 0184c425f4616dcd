<script setup lang="ts">
import { actionsWords } from '~~/shared/wording/en'

/** Asks for a reason; it is logged and prints on the report. */
defineProps<{ title: string; question: string; action: string }>()
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ say: [why: string] }>()
const words = useWords()
const w = actionsWords(words)
const why = ref('')
const box = useTemplateRef<{ focus: () => void }>('box')
useFirstFocus(shown, () => box.value)
const say = () => {
  if (why.value.trim() === '') return
  emit('say', why.value.trim())
  why.value = ''
  shown.value = false
}
</script>

<template>
  <el-dialog v-model="shown" :title="title" width="min(460px, 94vw)" append-to-body destroy-on-close>
    <form class="question" @submit.prevent="say">
      <label
        ><span>{{ question }}</span>
        <el-input ref="box" v-model="why" :aria-label="question" type="textarea" :rows="3" maxlength="500" />
      </label>
      <p class="muted">{{ w.reasonPrints }}</p>
      <el-button native-type="submit" class="next-button" :disabled="why.trim() === ''">{{
        action
      }}</el-button>
    </form>
  </el-dialog>
</template>
