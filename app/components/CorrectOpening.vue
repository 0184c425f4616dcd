<script setup lang="ts">
import { openingWords } from '~~/shared/wording/en'

/** What was typed at the opening stands in every limit: it can be put right, with a reason, until the job is closed. */
const w = openingWords(useWords())
const shown = ref(false)
const later = useLater(shown)
</script>

<template>
  <div>
    <el-button link class="text-button" @click="shown = true">{{ w.view.correct }}</el-button>
    <LazyElDialog
      v-if="later"
      v-model="shown"
      :title="w.view.correctTitle"
      width="min(520px, 94vw)"
      top="6vh"
      append-to-body
      destroy-on-close
    >
      <LazyOpeningCorrection @logged="shown = false" />
    </LazyElDialog>
  </div>
</template>
