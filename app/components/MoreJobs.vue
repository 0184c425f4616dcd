<script setup lang="ts">
/** Asks for the next page of a list of jobs; says why when it can't be had. */
defineProps<{ label: string; next: string | null; asking: boolean; failed: string }>()
const emit = defineEmits<{ more: [] }>()
</script>

<template>
  <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
  <el-button v-if="next" class="quiet-button" :loading="asking" @click="emit('more')">{{ label }}</el-button>
</template>

<style scoped>
.failed {
  color: var(--out);
}
</style>
