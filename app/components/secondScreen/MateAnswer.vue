<script setup lang="ts">
import type { TypedMeasure } from '~~/core/units/typedNumber'
import { secondScreenWords } from '~~/shared/wording/en'
import MateButton from './MateButton.vue'

/** What an instrument shows, typed at the second screen and sent to the board. */
defineProps<{ label: string; measure: TypedMeasure; fault: string; signed?: boolean }>()
const emit = defineEmits<{ send: [] }>()
const value = defineModel<string>({ required: true })
const session = useSession()
const words = useWords()
const box = useTemplateRef<{ focus: () => void }>('box')
defineExpose({ focus: () => box.value?.focus() })
</script>

<template>
  <NumberBox
    ref="box"
    v-model="value"
    class="value"
    :label="label"
    :measure="measure"
    :units="session.units"
    :signed="signed"
    on-dye
    :note="fault"
    :note-is-fault="fault !== ''"
    @enter="emit('send')"
  />
  <MateButton @hit="emit('send')">{{ secondScreenWords(words).send }}</MateButton>
</template>

<style scoped>
.value :deep(.el-input__inner.el-input__inner) {
  height: 76px;
  font-size: 48px;
  color: #fff;
}
.value :deep(.el-input__wrapper) {
  background: #15183f;
}
.value :deep(label) {
  font-size: 20px;
}
</style>
