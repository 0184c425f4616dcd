<template>
  <MeasureStage stage="as-found" />
</template>

<script setup lang="ts">
import MeasureStage from './MeasureStage.vue'
</script>
