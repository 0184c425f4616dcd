<script setup lang="ts">
import { lookWords } from '~~/shared/wording/en'
import { readPipe } from '~~/shared/stages/look/form'

/** A dial at the coupling while the pipe's or duct's bolts are loosened. */
const look = useSharedLook()
const job = useJob()
const session = useSession()
const telling = useTelling()
const v = computed(() => lookWords(telling.value.words).view)
const read = computed(() => readPipe(look.form, telling.value))
const log = () => {
  const { payload } = read.value
  if (!payload || !job.log({ kind: 'pipe-read', payload })) return
  look.form.pipe = { vertical: '', horizontal: '', limit: '' }
}
const box = (which: 'vertical' | 'horizontal' | 'limit') => ({
  modelValue: look.form.pipe[which],
  measure: 'displacement' as const,
  units: session.units,
  signed: which !== 'limit',
  onDye: true,
  disabled: look.closed,
  note: read.value.faults[which] ?? '',
  noteIsFault: which in read.value.faults,
  'onUpdate:modelValue': (text: string) => {
    look.form.pipe[which] = text
  },
  onEnter: log,
})
</script>

<template>
  <div v-if="!look.closed" class="boxes">
    <NumberBox v-bind="box('vertical')" :label="v.pipeVertical" />
    <NumberBox v-bind="box('horizontal')" :label="v.pipeHorizontal" />
    <NumberBox v-bind="box('limit')" :label="v.pipeLimit" />
    <el-button class="quiet-button" :disabled="!read.payload" @click="log">{{ v.logPipe }}</el-button>
  </div>
  <p class="caution">{{ v.pipeCaution }}</p>
</template>

<style scoped>
.boxes {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 16px;
  align-items: end;
}
.boxes > :not(.el-button) {
  width: 200px;
}
</style>
