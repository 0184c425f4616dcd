<script setup lang="ts">
import { peopleWords } from '~~/shared/wording/en'

/** A PIN or password: hidden, shown where one wants to see it; digits come first, letters where they are asked for. */
defineProps<{ label: string; fault?: string; fresh?: boolean }>()
const typed = defineModel<string>({ required: true })
const words = useWords()
const w = peopleWords(words).signIn
const letters = ref(false)
const id = useId()
const box = useTemplateRef<{ focus: () => void }>('box')
defineExpose({ focus: () => box.value?.focus() })
</script>

<template>
  <div class="secret">
    <label :for="id">{{ label }}</label>
    <div class="row">
      <el-input
        :id="id"
        ref="box"
        v-model="typed"
        type="password"
        show-password
        maxlength="200"
        :autocomplete="fresh ? 'new-password' : 'current-password'"
        :inputmode="letters ? 'text' : 'numeric'"
        :aria-invalid="fault ? 'true' : undefined"
        :aria-describedby="fault ? `${id}-fault` : undefined"
      />
      <el-button link class="letters" :aria-pressed="letters" @click="letters = !letters">{{
        letters ? w.digits : w.letters
      }}</el-button>
    </div>
    <p v-if="fault" :id="`${id}-fault`" class="fault" role="alert">{{ fault }}</p>
  </div>
</template>

<style scoped>
label {
  display: block;
  margin-bottom: 4px;
  font-size: 14px;
}
.row {
  display: flex;
  gap: 10px;
}
.row :deep(.el-input__wrapper) {
  min-height: var(--touch);
}
.letters {
  display: none;
  min-height: var(--touch);
}
@media (pointer: coarse) {
  .letters {
    display: inline-flex;
  }
}
.fault {
  margin-top: 4px;
  color: var(--out);
  font-size: 14px;
}
</style>
