<script setup lang="ts">
import type { StageId } from '~~/core/jobs/jobs'
import { actionsWords } from '~~/shared/wording/en'

/** The way past a stage: a quiet button that asks why, logs it, and goes on. */
const props = defineProps<{ stage: StageId; title: string }>()
const job = useJob()
const words = useWords()
const w = actionsWords(words)
const goOn = inject(goOnKey, () => {})
const asking = ref(false)
const passOver = (why: string) => {
  if (job.log({ kind: 'stage-skipped', payload: { stage: props.stage, why } })) goOn()
}
</script>

<template>
  <el-button link class="text-button" @click="asking = true">{{ title }}</el-button>
  <WhyDialog v-model="asking" :title="title" :question="w.why" :action="w.passOver" @say="passOver" />
</template>
