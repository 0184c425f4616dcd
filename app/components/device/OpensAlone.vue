<script setup lang="ts">
import { deviceWords } from '~~/shared/wording/en'
import { installing, opensAlone } from '~/device/program'

/** Whether the program opens on this device with no server; puts it among the device's own programs. */
const words = useWords()
const w = deviceWords(words).alone
const told = computed(() => w[opensAlone.value])
const build = w.build(useRuntimeConfig().app.buildId.slice(0, 8))
const install = async () => {
  await installing.value?.prompt()
  installing.value = null
}
</script>

<template>
  <section :aria-label="w.title">
    <h2>{{ w.title }}</h2>
    <p role="status">
      <VerdictMark :mark="opensAlone === 'yes' ? 'done' : 'edge'" silent />
      {{ told }}
    </p>
    <p v-if="opensAlone === 'yes'" class="muted">
      <el-button v-if="installing" class="quiet-button" @click="install">{{ w.install }}</el-button>
      <template v-else>{{ w.installNote }}</template>
    </p>
    <p class="muted figure">{{ build }}</p>
  </section>
</template>

<style scoped>
.figure {
  font-size: 14px;
}
</style>
