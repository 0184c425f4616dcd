<script setup lang="ts">
import { secondScreenWords } from '~~/shared/wording/en'

/** The tag of this job's second screen, to be read by a phone: made here; and its address. */
const shown = defineModel<boolean>({ required: true })
const job = useJob()
const words = useWords()
const w = secondScreenWords(words)
const linked = useMateLinked()
const address = computed(() => (shown.value ? `${location.origin}/mate/${job.id}` : ''))
const svg = useTag(address)
/** A phone can't reach what listens on this device alone. */
const alone = computed(() => shown.value && ['127.0.0.1', 'localhost', '[::1]'].includes(location.hostname))
</script>

<template>
  <el-dialog v-model="shown" :title="w.open" width="min(420px, 94vw)" append-to-body>
    <p>{{ w.tag }}</p>
    <img v-if="svg" :src="svg" :alt="w.open" width="280" height="280" />
    <p class="muted">{{ w.address }}</p>
    <p>
      <NuxtLink :to="`/mate/${job.id}`" target="_blank" class="figure">{{ address }}</NuxtLink>
    </p>
    <p v-if="alone" class="muted">{{ w.loopback }}</p>
    <p v-if="linked" role="status"><VerdictMark mark="done" /> {{ w.linkedHere }}</p>
  </el-dialog>
</template>

<style scoped>
img {
  display: block;
  margin: 12px auto;
  background: #fff;
}
p {
  margin: 8px 0;
  overflow-wrap: anywhere;
}
</style>
