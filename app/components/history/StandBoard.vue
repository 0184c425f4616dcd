<script setup lang="ts">
/** How a machine stands: its drawing, and beside it what lies under it. */
</script>

<template>
  <div class="stand board">
    <div class="drawn"><slot /></div>
    <slot name="beside" />
  </div>
</template>

<style scoped>
.stand {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  background: var(--dye);
  color: var(--scribe);
  border-radius: 4px;
}
.stand > :deep(*) {
  padding: 14px 18px;
}
.stand > :deep(:last-child) {
  border-left: 1px solid var(--dye-line);
}
.drawn {
  position: relative;
  min-width: 0;
}
@media (max-width: 1000px) {
  .stand {
    grid-template-columns: minmax(0, 1fr);
  }
  .stand > :deep(:last-child) {
    border-left: 0;
    border-top: 1px solid var(--dye-line);
  }
}
</style>
