<script setup lang="ts">
/** Asks for a reason, in a dialog that is fetched a moment behind its view. */
const props = defineProps<{ title: string; question: string; action: string }>()
const shown = defineModel<boolean>({ required: true })
defineEmits<{ say: [why: string] }>()
const later = useLater(shown)
</script>

<template>
  <LazyWhyQuestion v-if="later" v-model="shown" v-bind="props" @say="$emit('say', $event)" />
</template>
