<script setup lang="ts">
/** The dye a stage is drawn on, with its heading and a quiet note at the right. */
defineProps<{
  title: string
  note?: string
  bare?: boolean
  /** It may be longer than its view and has nothing in it to tab to. */
  scrolls?: boolean
}>()
</script>

<template>
  <section class="board" :aria-label="title" :tabindex="scrolls ? 0 : undefined">
    <div v-if="!bare" class="head">
      <h2>{{ title }}</h2>
      <p>{{ note }}</p>
      <slot name="tools" />
    </div>
    <slot />
  </section>
</template>

<style scoped>
.board {
  grid-area: board;
  display: flex;
  flex-direction: column;
  min-height: 0;
  min-width: 0;
  overflow: auto;
  padding: 14px 22px 16px;
  background: var(--dye);
  color: var(--scribe);
}
.head {
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 40px;
}
h2 {
  font-size: 18px;
  color: #fff;
  white-space: nowrap;
}
.head p {
  flex: 1;
  text-align: right;
  color: var(--scribe-dim);
  font-size: 14px;
}
@media (max-width: 640px) {
  .board {
    overflow: visible;
    padding: 12px 14px 16px;
  }
  .head {
    flex-wrap: wrap;
    gap: 4px 12px;
  }
  .head p {
    flex-basis: 100%;
    order: 3;
    text-align: left;
  }
}
</style>
