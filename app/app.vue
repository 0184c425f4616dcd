<script setup lang="ts">
useBay()
useKeys()
const { mapOpen } = useKeyEvents()
const later = useLater(mapOpen)
</script>

<template>
  <NuxtLayout>
    <NuxtPage />
  </NuxtLayout>
  <LazyKeyMap v-if="later" />
  <TouchKeypad />
</template>
