<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'

/** A remark for the logbook, and those that were made. */
const shown = defineModel<boolean>({ required: true })
const job = useJob()
const w = shellWords(useWords()).remark
const text = ref('')
const box = useTemplateRef<{ focus: () => void }>('box')
useFirstFocus(shown, () => box.value)
const log = () => {
  if (text.value.trim() === '') return
  if (!job.log({ kind: 'remark', payload: { text: text.value.trim() } })) return
  text.value = ''
  shown.value = false
}
</script>

<template>
  <el-dialog v-model="shown" :title="w.add" width="min(460px, 94vw)" append-to-body>
    <form class="question" @submit.prevent="log">
      <label
        ><span>{{ w.question }}</span>
        <el-input
          ref="box"
          v-model="text"
          :aria-label="w.question"
          type="textarea"
          :rows="3"
          maxlength="2000"
        />
      </label>
      <el-button native-type="submit" class="next-button" :disabled="text.trim() === ''">{{
        w.log
      }}</el-button>
    </form>
    <ul v-if="job.folded?.state.remarks.length">
      <li v-for="r in job.folded.state.remarks" :key="r.id">{{ r.payload.text }}</li>
    </ul>
  </el-dialog>
</template>
