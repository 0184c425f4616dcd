<script setup lang="ts">
import IconPencil from '~icons/lucide/pencil'

const job = useJob()
const {
  shell: { remark: w },
} = useWords()
const shown = ref(false)
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
  <el-button link class="text-button remark" :aria-label="w.add" @click="shown = true">
    <IconPencil aria-hidden="true" /><span class="long label">{{ w.add }}</span>
  </el-button>
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

<style scoped>
.remark {
  text-align: left;
  padding: 0 16px;
  color: var(--muted);
}
.remark :deep(> span) {
  gap: 8px;
}
@media (max-width: 1100px) {
  .long {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
}
</style>
