<script setup lang="ts">
import { pictureHeadWords } from '~~/shared/wording/en'
import IconImage from '~icons/lucide/image'

/** Takes the board in view away as a picture. */
defineProps<{
  /** What it shows, as it is to stand under it. */
  about: string
  /** Its words are heard, not seen: there is no room for them. */
  bare?: boolean
}>()
const w = pictureHeadWords(useWords())
const shown = ref(false)
const later = useLater(shown)
</script>

<template>
  <el-button
    link
    class="text-button picture"
    :aria-label="w.take"
    :title="bare ? w.take : undefined"
    @click="shown = true"
  >
    <IconImage aria-hidden="true" /><span v-if="!bare">{{ w.take }}</span>
  </el-button>
  <LazyPictureDialog v-if="later" v-model="shown" :about="about" />
</template>

<style scoped>
.picture {
  text-align: left;
  padding: 0 14px;
  margin-left: 0;
  color: var(--muted);
}
.picture :deep(> span) {
  gap: 8px;
}
</style>
