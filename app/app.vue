<script setup lang="ts">
import { gate } from '~/people/gate'

useBay()
useKeys()
const { mapOpen } = useKeyEvents()
const later = useLater(mapOpen)
const { target } = useKeypad()
const keypadLater = useLater(computed(() => target.value !== null))
const session = useSession()
void session.learn()
const nuxt = useNuxtApp()
const BEGIN_MS = 10_000
// Behind the first view: nobody is idle yet.
onNuxtReady(() => {
  void import('~/people/idleLock').then((lock) => lock.lockWhenIdle(session))
  // What the device does by itself waits until whoever opened the view has begun; without the network it waits for another visit.
  setTimeout(() => {
    void import('~/device/beginDevice')
      .then((device) => device.beginDevice(session, (told) => nuxt.hook('app:manifest:update', told)))
      .catch(() => null)
  }, BEGIN_MS)
})
/** A device that nobody has written on waits for the server's word; any other is drawn at once, and closed should it have to be. */
const begun = ref(session.authorId !== '')
watchEffect(() => {
  if (session.entered) begun.value = true
})
const isCustomer = computed(() => session.device?.current?.role === 'customer')
</script>

<template>
  <LazyOwnJobs v-if="isCustomer" />
  <div v-else-if="begun" class="whole" :inert="session.entered === false">
    <NuxtLayout>
      <NuxtPage />
    </NuxtLayout>
  </div>
  <LazySignInGate v-if="session.entered === false" />
  <LazySecondDialog v-if="gate.second.value" :key="gate.second.value.act" :asked="gate.second.value" />
  <LazyKeyMap v-if="later" />
  <LazyTouchKeypad v-if="keypadLater" />
</template>

<style scoped>
.whole {
  height: 100%;
}
</style>
