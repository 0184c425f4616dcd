<script setup lang="ts">
/** The head of a working view: the way back, what is in view, what it is, what the view adds, who writes. */
defineProps<{
  back: string
  backLabel: string
  /** The machine in a line, where there is room for it. */
  what: string
}>()
</script>

<template>
  <header class="header">
    <NuxtLink :to="back" class="home" :aria-label="backLabel"
      ><img src="/mark.svg" alt="" width="30" height="30"
    /></NuxtLink>
    <h1><slot name="title" /></h1>
    <slot name="mark" />
    <p class="muted what">{{ what }}</p>
    <slot />
    <SessionControls />
  </header>
</template>

<style scoped>
.header {
  grid-area: header;
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 0 16px 0 20px;
  background: var(--panel);
  border-bottom: 1px solid var(--hairline);
  min-width: 0;
}
.home {
  display: flex;
}
h1 {
  font-size: 18px;
  white-space: nowrap;
}
h1 :deep(a) {
  text-decoration: none;
}
.what {
  flex: 1;
  min-width: 0;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  font-size: 14px;
}
@media (max-width: 640px) {
  .header {
    flex-wrap: wrap;
    gap: 6px 10px;
    padding: 8px 12px;
  }
  h1 {
    flex-basis: 60%;
  }
  /* Who writes has a row of its own: beside what the view adds there is no room for it. */
  .header :deep(.controls) {
    flex-basis: 100%;
  }
}
@media (max-width: 900px) {
  .what {
    display: none;
  }
  h1 {
    flex: 1;
    min-width: 76px;
    overflow: hidden;
    text-overflow: ellipsis;
  }
}
</style>
