<script setup lang="ts">
const job = useJob()
const shown = ref(false)
const text = ref('')
const log = () => {
  if (text.value.trim() === '') return
  job.log({ kind: 'remark', payload: { text: text.value.trim() } })
  text.value = ''
  shown.value = false
}
</script>

<template>
  <button type="button" class="text-button remark" @click="shown = true">
    <span aria-hidden="true">✎</span><span class="long"> Add a remark</span>
  </button>
  <el-dialog v-model="shown" title="Add a remark" width="460" append-to-body>
    <form @submit.prevent="log">
      <label
        >What did you see?<el-input v-model="text" type="textarea" :rows="3" maxlength="2000" autofocus
      /></label>
      <button type="submit" class="next-button" :disabled="text.trim() === ''">Log the remark</button>
    </form>
    <ul v-if="job.state?.remarks.length">
      <li v-for="r in job.state.remarks" :key="r.id">{{ r.payload.text }}</li>
    </ul>
  </el-dialog>
</template>

<style scoped>
.remark {
  text-align: left;
  padding: 0 16px;
  color: var(--muted);
}
form {
  display: grid;
  gap: 14px;
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
