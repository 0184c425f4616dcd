<script setup lang="ts">
/** A titled panel beside the main thing of a page, with what can be done about it at its head. */
defineProps<{ name: string }>()
defineSlots<{ default: () => unknown; act?: () => unknown }>()
</script>

<template>
  <section class="panel side" :aria-label="name">
    <div class="head">
      <h2>{{ name }}</h2>
      <slot name="act" />
    </div>
    <slot />
  </section>
</template>

<style scoped>
.side {
  min-width: 0;
  padding: 10px 14px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  min-height: var(--touch);
}
.side h2 {
  flex: 1;
  margin: 0;
  font-size: 17px;
}
/* A link button stays as wide as its words. */
.head :slotted(.text-button) {
  flex: none;
  white-space: nowrap;
}
</style>
