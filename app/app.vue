<script setup lang="ts">
useBay()
useKeys()
</script>

<template>
  <NuxtLayout>
    <NuxtPage />
  </NuxtLayout>
  <KeyMap />
  <TouchKeypad />
</template>
