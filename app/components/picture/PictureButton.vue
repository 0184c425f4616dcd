<script setup lang="ts">
import { pictureHeadWords } from '~~/shared/wording/en'
import IconImage from '~icons/lucide/image'

/** Takes the board in view away as a picture. */
defineProps<{
  /** What it shows, as it is to stand under it. */
  about: string
  /** Shows its words only where there is room for them. */
  short?: boolean
}>()
const w = pictureHeadWords(useWords())
const shown = ref(false)
const later = useLater(shown)
</script>

<template>
  <el-button link class="text-button picture" :aria-label="w.take" @click="shown = true">
    <IconImage aria-hidden="true" /><span class="label" :class="{ long: short }">{{ w.take }}</span>
  </el-button>
  <LazyPictureDialog v-if="later" v-model="shown" :about="about" />
</template>

<style scoped>
.picture {
  text-align: left;
  padding: 0 16px;
  margin-left: 0;
  color: var(--muted);
}
.picture :deep(> span) {
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
