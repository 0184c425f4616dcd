<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import IconChevron from '~icons/lucide/chevron-down'

/** The name that entries are signed with; two taps pass the tablet to another hand. */
const session = useSession()
const words = useWords()
const w = shellWords(words)
const open = ref(false)
const later = useLater(open)
</script>

<template>
  <el-button class="who" aria-haspopup="dialog" @click="open = true">
    <span class="visually-hidden">{{ w.whoIsWritingNow }}</span>
    <span class="name">{{ session.author?.name ?? w.whoIsWriting }}</span>
    <IconChevron aria-hidden="true" />
  </el-button>
  <LazyWhoDialog v-if="later" v-model="open" />
</template>

<style scoped>
.who {
  width: 196px;
  min-height: var(--touch);
  padding: 0 12px;
}
.who :deep(> span) {
  min-width: 0;
  display: flex;
  align-items: center;
  gap: 8px;
  width: 100%;
}
.name {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-align: left;
  text-overflow: ellipsis;
}
@media (max-width: 760px) {
  .who {
    width: 150px;
  }
}
@media (max-width: 640px) {
  .who {
    flex: 1;
    width: auto;
    min-width: 0;
  }
}
</style>
