<script setup lang="ts">
import { deviceHeadWords, deviceWords } from '~~/shared/wording/en'
import { keepOf, noteKeep, type Keep } from '~/device/keeps'

/** What of the job in view is on this device and what still waits here; pins it. */
const shown = defineModel<boolean>({ required: true })
const job = useJob()
const outbox = useOutbox()
const words = useWords()
const w = deviceWords(words)
const head = deviceHeadWords(words)
const { short } = useConnection()
const keep = shallowRef<Keep | null>(null)
const full = ref(false)
const look = async () => {
  keep.value = (await keepOf('job', job.id)) ?? null
}
useOnShown(shown, () => void look())
const pinned = computed({
  get: () => keep.value?.pinned ?? false,
  set: (now) => {
    full.value = false
    void noteKeep('job', job.id, {
      pinned: now,
      tag: job.machine?.tag ?? '',
      name: job.machine?.name ?? '',
    })
      .catch(() => (full.value = true))
      .then(look)
  },
})
</script>

<template>
  <el-dialog v-model="shown" :title="w.title" width="min(460px, 94vw)" append-to-body>
    <p>{{ short }}</p>
    <p v-if="outbox.held > 0" class="fault" role="alert">{{ head.full(outbox.held) }}</p>
    <el-checkbox v-model="pinned">{{ w.pin.job }}</el-checkbox>
    <p class="muted">{{ w.pin.jobNote }}</p>
    <p v-if="full" class="fault" role="alert">{{ w.pin.full }}</p>
    <NuxtLink to="/device" class="more">{{ head.more }}</NuxtLink>
  </el-dialog>
</template>

<style scoped>
.el-checkbox {
  min-height: var(--touch);
  margin-top: 8px;
}
.more {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
}
</style>
