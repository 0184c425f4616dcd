<script setup lang="ts">
useBay()
useKeys()
const { mapOpen } = useKeyEvents()
const later = useLater(mapOpen)
const { target } = useKeypad()
const keypadLater = useLater(computed(() => target.value !== null))
</script>

<template>
  <NuxtLayout>
    <NuxtPage />
  </NuxtLayout>
  <LazyKeyMap v-if="later" />
  <LazyTouchKeypad v-if="keypadLater" />
</template>
