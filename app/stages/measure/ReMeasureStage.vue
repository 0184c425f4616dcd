<template>
  <MeasureStage stage="re-measure" />
</template>

<script setup lang="ts">
import MeasureStage from './MeasureStage.vue'
</script>
