<script setup lang="ts">
import { lookWords } from '~~/shared/wording/en'
import { photographPath } from '~~/shared/photographs/photographs'
import { keptPicture } from '~/device/photographs'

/** A photograph of this job: from the device while it waits there, else from the server. Larger on a press. */
const props = defineProps<{ id: string; name: string }>()
const job = useJob()
const local = ref('')
const missing = ref(false)
const looked = ref(false)
const free = () => {
  if (local.value) URL.revokeObjectURL(local.value)
  local.value = ''
}
watch(
  () => props.id,
  async (id) => {
    free()
    missing.value = false
    looked.value = false
    const kept = await keptPicture(id)
    if (id !== props.id) return
    if (kept) local.value = URL.createObjectURL(kept)
    looked.value = true
  },
  { immediate: true },
)
onBeforeUnmount(free)
const source = computed(() => local.value || photographPath(job.id, props.id))
const words = useWords()
const w = lookWords(words)
</script>

<template>
  <el-image
    v-if="looked && !missing"
    class="photograph"
    :src="source"
    :alt="name"
    :preview-src-list="[source]"
    fit="cover"
    preview-teleported
    hide-on-click-modal
    @error="missing = true"
  />
  <span v-else-if="missing" class="photograph missing" role="img" :aria-label="name">{{
    w.photographs.onTheWay
  }}</span>
  <span v-else class="photograph" />
</template>

<style scoped>
.photograph {
  display: block;
  width: 104px;
  height: 78px;
  border: 1px solid var(--hairline);
  border-radius: 4px;
  overflow: hidden;
}
.missing {
  display: grid;
  place-items: center;
  font-size: 13px;
}
</style>
