<script setup lang="ts">
import { renderSVG } from 'uqr'
import IconTag from '~icons/lucide/qr-code'

/** Opens the second screen of this job on a phone: a tag to be read by it, made here, and the address. */
const job = useJob()
const { secondScreen: w } = useWords()
const shown = ref(false)
const linked = useMateLinked()
const address = computed(() => (shown.value ? `${location.origin}/mate/${job.id}` : ''))
const svg = computed(() =>
  address.value ? `data:image/svg+xml,${encodeURIComponent(renderSVG(address.value, { border: 2 }))}` : '',
)
/** A phone can't reach what listens on this device alone. */
const alone = computed(() => shown.value && ['127.0.0.1', 'localhost', '[::1]'].includes(location.hostname))
</script>

<template>
  <el-button
    link
    class="icon"
    :class="{ linked }"
    :aria-label="linked ? w.linkedHere : w.open"
    :title="linked ? w.linkedHere : w.open"
    @click="shown = true"
  >
    <IconTag aria-hidden="true" />
  </el-button>
  <el-dialog v-model="shown" :title="w.open" width="min(420px, 94vw)" append-to-body>
    <p>{{ w.tag }}</p>
    <img v-if="svg" :src="svg" :alt="w.open" width="280" height="280" />
    <p class="muted">{{ w.address }}</p>
    <p>
      <NuxtLink :to="`/mate/${job.id}`" target="_blank" class="figure">{{ address }}</NuxtLink>
    </p>
    <p v-if="alone" class="muted">{{ w.loopback }}</p>
    <p v-if="linked" role="status"><VerdictMark mark="done" /> {{ w.linkedHere }}</p>
  </el-dialog>
</template>

<style scoped>
.icon {
  width: var(--touch);
  height: var(--touch);
  flex: none;
  color: var(--muted);
  font-size: 18px;
}
.linked {
  color: var(--in);
}
img {
  display: block;
  margin: 12px auto;
  background: #fff;
}
p {
  margin: 8px 0;
  overflow-wrap: anywhere;
}
</style>
