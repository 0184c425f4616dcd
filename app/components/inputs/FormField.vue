<script setup lang="ts">
/** One box of a dialog's form: its name above it, what is wrong with it below. */
defineProps<{ name: string; fault?: string | undefined }>()
</script>

<template>
  <label class="field">
    <span class="name">{{ name }}</span>
    <slot />
    <span v-if="fault" class="fault" role="alert">{{ fault }}</span>
  </label>
</template>

<style scoped>
.field {
  min-width: 0;
}
.name {
  display: block;
  margin-bottom: 4px;
  font-size: 14px;
}
.field :deep(.el-date-editor.el-date-editor),
.field :deep(.el-autocomplete) {
  width: 100%;
}
.fault {
  display: block;
  color: var(--out);
  font-size: 14px;
}
</style>
