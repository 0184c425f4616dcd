<script setup lang="ts">
/** How this device stands with the server, at the head of a job; a tap tells more, and keeps the job here. */
const { short } = useConnection()
const outbox = useOutbox()
const shown = ref(false)
const later = useLater(shown)
</script>

<template>
  <el-button
    link
    class="connection"
    :class="{ amiss: outbox.held > 0 }"
    aria-haspopup="dialog"
    @click="shown = true"
    ><span role="status">{{ short }}</span></el-button
  >
  <LazyJobOnDevice v-if="later" v-model="shown" />
</template>

<style scoped>
.connection {
  min-height: var(--touch);
  padding: 0 4px;
  color: var(--muted);
  font-size: 14px;
  white-space: nowrap;
}
.amiss {
  color: var(--out);
  font-weight: 600;
}
@media (max-width: 900px) {
  .connection {
    max-width: 118px;
    white-space: normal;
    text-align: right;
    line-height: 1.15;
  }
}
</style>
