<script setup lang="ts">
import { machineInLine } from '~~/shared/wording/machineInLine'
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'

/** The head of a try: which machine it is a copy of, and that nothing of it reaches a record. */
const practice = usePractice()
const job = useJob()
const words = useWords()
const w = practiceBenchWords(words)
const machine = computed(() => practice.record?.machine)
const what = computed(() =>
  machine.value ? machineInLine(machine.value, job.folded?.state.rpm ?? machine.value.rpm, words) : '',
)
const title = computed(() => {
  const lesson = practice.record?.lesson
  return lesson ? w.lessonNames[lesson] : `${machine.value?.tag ?? ''} ${machine.value?.name ?? ''}`
})
</script>

<template>
  <HeadFrame back="/practice" :back-label="w.toPractice" :what="what">
    <template #title>{{ title }}</template>
    <template #mark
      ><span class="tag">{{ w.tag }}</span></template
    >
    <span class="muted book">{{ w.book }}</span>
  </HeadFrame>
</template>

<style scoped>
.tag {
  flex: none;
  padding: 4px 10px;
  border: 1.5px dashed var(--field-line);
  font-size: 14px;
  font-weight: 600;
}
.book {
  font-size: 14px;
  white-space: nowrap;
}
@media (max-width: 1100px) {
  .book {
    display: none;
  }
}
</style>
