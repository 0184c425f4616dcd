<script setup lang="ts">
import { instrumentTagWords } from '~~/shared/wording/en/instrumentTag'
import IconGauge from '~icons/lucide/gauge'

/** Opens the instruments of this job; lit while one speaks. */
const job = useJob()
const words = useWords()
const w = instrumentTagWords(words)
const shown = ref(false)
const later = useLater(shown)
const speaking = computed(() => job.links.filter((l) => l.state === 'speaking').length)
const broken = computed(() => job.links.some((l) => l.state === 'gone' || l.state === 'silent'))
const label = computed(() =>
  broken.value ? w.lost : speaking.value > 0 ? w.openLive(speaking.value) : w.open,
)
</script>

<template>
  <el-button
    v-if="job.instruments()"
    link
    class="head-tag"
    :class="{ lit: speaking > 0, broken }"
    :aria-label="label"
    :title="label"
    @click="shown = true"
  >
    <IconGauge aria-hidden="true" />
  </el-button>
  <LazyInstrumentsDialog v-if="later" v-model="shown" />
</template>
