<script setup lang="ts">
/** A clock with the one place that is wanted. */
const props = defineProps<{ clock: number }>()
const at = (clock: number, r: number) => {
  const a = (clock * Math.PI) / 180
  return { x: 100 + r * Math.sin(a), y: 100 - r * Math.cos(a) }
}
const hours = Array.from({ length: 12 }, (_, i) => ({ ...at(i * 30, 82), clock: i * 30 }))
const mark = computed(() => at(props.clock, 82))
</script>

<template>
  <svg viewBox="0 0 200 200" aria-hidden="true">
    <circle cx="100" cy="100" r="92" fill="#15183F" stroke="#A3AEE0" stroke-width="2" />
    <circle v-for="h in hours" :key="h.clock" :cx="h.x" :cy="h.y" r="3" fill="#A3AEE0" />
    <path :d="`M100 100L${mark.x} ${mark.y}`" stroke="#E0B04A" stroke-width="7" />
    <circle :cx="mark.x" :cy="mark.y" r="13" fill="#E0B04A" />
    <circle cx="100" cy="100" r="7" fill="#FFFFFF" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-height: 38vh;
  margin: 10px auto;
}
</style>
