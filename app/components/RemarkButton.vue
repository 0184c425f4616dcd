<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import IconPencil from '~icons/lucide/pencil'

const w = shellWords(useWords()).remark
const shown = ref(false)
const later = useLater(shown)
</script>

<template>
  <el-button link class="text-button remark" :aria-label="w.add" @click="shown = true">
    <IconPencil aria-hidden="true" /><span class="long label">{{ w.add }}</span>
  </el-button>
  <LazyRemarkDialog v-if="later" v-model="shown" />
</template>

<style scoped>
.remark {
  text-align: left;
  padding: 0 16px;
  color: var(--muted);
}
.remark :deep(> span) {
  gap: 8px;
}
@media (max-width: 1100px) {
  .long {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
}
</style>
