<script setup lang="ts">
/** A scale along the axis with the window the gap belongs in, and where it stands. Places from 0 to 1. */
defineProps<{ at: number; from: number; to: number; windowed: boolean; label: string }>()
</script>

<template>
  <svg viewBox="0 0 320 44" preserveAspectRatio="none" role="img" :aria-label="label">
    <rect v-if="windowed" class="window" :x="from * 320" y="8" :width="(to - from) * 320" height="16" />
    <path class="ruler" d="M0 24H320" />
    <path v-for="n in 21" :key="n" class="ruler" :d="`M${(n - 1) * 16} 24v${(n - 1) % 5 === 0 ? 12 : 7}`" />
    <path class="mark" :d="`M${at * 320 - 8} 6h16l-8 16z`" />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: 44px;
}
.window {
  fill: #58d3be44;
  stroke: var(--in-on-dye);
}
.ruler {
  stroke: var(--scribe-dim);
}
.mark {
  fill: #fff;
}
@media (max-width: 640px) {
  svg {
    height: 36px;
  }
}
</style>
