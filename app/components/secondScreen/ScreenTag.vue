<script setup lang="ts">
import { secondScreenWords } from '~~/shared/wording/en'
import IconTag from '~icons/lucide/qr-code'

/** Opens the second screen of this job on a phone; lit while one is there. */
const words = useWords()
const w = secondScreenWords(words)
const shown = ref(false)
const linked = useMateLinked()
const later = useLater(shown)
</script>

<template>
  <el-button
    link
    class="head-tag"
    :class="{ lit: linked }"
    :aria-label="linked ? w.linkedHere : w.open"
    :title="linked ? w.linkedHere : w.open"
    @click="shown = true"
  >
    <IconTag aria-hidden="true" />
  </el-button>
  <LazyTagDialog v-if="later" v-model="shown" />
</template>
