<script setup lang="ts">
import { deviceWords } from '~~/shared/wording/en'
import { askToKeep, clearCopies, roomLeft, type Room } from '~/device/room'

/** How much room this device gives, whether the browser keeps what is here, and taking the copies off. */
const emit = defineEmits<{ changed: [] }>()
const words = useWords()
const w = deviceWords(words).room
const room = shallowRef<Room | null>(null)
const refused = ref(false)
const asking = ref(false)
const cleared = ref(false)
const look = async () => {
  room.value = await roomLeft()
}
onMounted(look)
const STEPS = [
  [2 ** 30, w.sizes.gb],
  [2 ** 20, w.sizes.mb],
  [2 ** 10, w.sizes.kb],
] as const
const size = (bytes: number) => {
  const [unit, say] = STEPS.find(([least]) => bytes >= least) ?? STEPS[2]
  return say((bytes / unit).toFixed(bytes / unit < 10 ? 1 : 0))
}
const ask = async () => {
  refused.value = !(await askToKeep())
  await look()
}
const clear = async () => {
  await clearCopies()
  asking.value = false
  cleared.value = true
  await look()
  emit('changed')
}
</script>

<template>
  <section :aria-label="w.title">
    <h2>{{ w.title }}</h2>
    <p v-if="room">
      {{ w.used(size(room.used), size(room.all)) }} {{ room.lasting ? w.lasting : w.passing }}
    </p>
    <p v-else>{{ w.unknown }}</p>
    <p v-if="refused" role="alert">{{ w.refused }}</p>
    <div class="acts">
      <el-button v-if="room && !room.lasting" class="quiet-button" @click="ask">{{ w.ask }}</el-button>
      <el-button v-if="!asking" class="quiet-button" @click="asking = true">{{ w.clear }}</el-button>
    </div>
    <div v-if="asking" class="sure" role="alert">
      <p>{{ w.clearAsk }}</p>
      <p class="muted">{{ w.clearNote }}</p>
      <el-button class="quiet-button" @click="clear">{{ w.clearYes }}</el-button>
      <el-button link class="text-button" @click="asking = false">{{ w.clearNo }}</el-button>
    </div>
    <p v-if="cleared" role="status">{{ w.cleared }}</p>
  </section>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 10px;
}
.acts .el-button {
  margin: 0;
}
.sure {
  margin-top: 12px;
  padding: 12px 16px;
  border-left: 4px solid var(--edge);
  background: var(--panel);
}
</style>
