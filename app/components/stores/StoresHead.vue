<script setup lang="ts">
/** The heading of one kind of thing in the stores, with what is done about all of it. */
defineProps<{ title: string }>()
</script>

<template>
  <div class="head">
    <h2>{{ title }}</h2>
    <slot />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 14px;
  margin: 26px 0 10px;
}
section:first-child > .head {
  margin-top: 0;
}
h2 {
  flex: 1;
  margin: 0;
}
</style>
