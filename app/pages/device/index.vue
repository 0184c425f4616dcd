<script setup lang="ts">
import { deviceWords, shellWords } from '~~/shared/wording/en'
import { allKeeps, type Keep } from '~/device/keeps'

/** What of the works is on this device, what waits here to be sent, and whether it opens with no server. */
const words = useWords()
const w = deviceWords(words)
useHead({ title: shellWords(words).pageTitle(w.title) })
const keeps = shallowRef<readonly Keep[]>([])
const look = async () => {
  keeps.value = await allKeeps().catch(() => [])
}
onMounted(look)
</script>

<template>
  <div class="page">
    <h1>{{ w.title }}</h1>
    <WaitingTable :keeps="keeps" />
    <KeptTable :keeps="keeps" @changed="look" />
    <div class="below">
      <OpensAlone />
      <RoomLeft @changed="look" />
    </div>
  </div>
</template>

<style scoped>
.below {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(340px, 1fr));
  gap: 0 40px;
}
</style>
