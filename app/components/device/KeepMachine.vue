<script setup lang="ts">
import { deviceWords } from '~~/shared/wording/en'
import { keepOf, noteKeep } from '~/device/keeps'
import { asOf } from '~/device/shownCopies'
import { keepMachineFresh } from '~/device/keepFresh'

/** Notes that a machine was opened on this device, and pins it with the job open on it. */
const props = defineProps<{ tag: string; name: string }>()
const words = useWords()
const w = deviceWords(words).pin
const pinned = ref(false)
const full = ref(false)
const note = (now: { pinned?: boolean; usedAt?: number; copiedAt?: number }) =>
  noteKeep('machine', props.tag, { ...now, opened: true, tag: props.tag, name: props.name })
onMounted(async () => {
  pinned.value = (await keepOf('machine', props.tag))?.pinned ?? false
  const now = Date.now()
  await note({ usedAt: now, ...(asOf() === null ? { copiedAt: now } : {}) }).catch(() => null)
})
const pin = async () => {
  full.value = false
  try {
    await note({ pinned: !pinned.value })
    pinned.value = !pinned.value
    if (pinned.value) await keepMachineFresh(props.tag)
  } catch {
    full.value = true
  }
}
</script>

<template>
  <el-button class="quiet-button" :aria-pressed="pinned" :title="w.machineNote" @click="pin">{{
    pinned ? w.machinePinned : w.machine
  }}</el-button>
  <p v-if="full" class="fault" role="alert">{{ w.full }}</p>
</template>
