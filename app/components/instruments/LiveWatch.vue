<script setup lang="ts">
import type { PushWatch } from '~~/core/stages/move/push'
import { useSpoken } from '~/live/live'
import { useLivePush } from '~/live/useLivePush'

/** Nothing to see: a push as instruments show it, for whoever shows it. */
const props = defineProps<{ push: PushWatch | null }>()
const live = defineModel<PushWatch | null>({ required: true })
const { places, watched } = useLivePush(() => props.push)
watch(watched, (now) => (live.value = now), { immediate: true })
const spoken = useSpoken()
/** The counts are taken as the instruments show them: which they are is noted. */
defineExpose({ take: () => places.value.forEach(spoken) })
onBeforeUnmount(() => (live.value = null))
</script>

<template>
  <span hidden />
</template>
