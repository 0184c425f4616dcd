<script setup lang="ts">
/** Asks for a reason; it is logged and prints on the report. */
defineProps<{ title: string; question: string; action: string }>()
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ say: [why: string] }>()
const why = ref('')
const say = () => {
  if (why.value.trim() === '') return
  emit('say', why.value.trim())
  why.value = ''
  shown.value = false
}
</script>

<template>
  <el-dialog v-model="shown" :title="title" width="460" append-to-body>
    <form class="why" @submit.prevent="say">
      <label>{{ question }}<el-input v-model="why" type="textarea" :rows="3" maxlength="500" /></label>
      <p class="muted">Your reason prints on the report.</p>
      <button type="submit" class="next-button" :disabled="why.trim() === ''">{{ action }}</button>
    </form>
  </el-dialog>
</template>

<style scoped>
.why {
  display: grid;
  gap: 12px;
}
</style>
