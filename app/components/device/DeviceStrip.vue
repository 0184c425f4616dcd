<script setup lang="ts">
import { deviceHeadWords } from '~~/shared/wording/en'
import { momentWords } from '~~/shared/wording/days'
import { takeNewer } from '~/device/program'
import { asOf } from '~/device/shownCopies'

/** Under the head of a view: out of reach, what waits, what stands in memory alone, a newer version. Nothing where all is as usual. */
const outbox = useOutbox()
const words = useWords()
const w = deviceHeadWords(words)
const { waiting } = useConnection()
const copied = computed(() => {
  const at = asOf()
  return at === null ? '' : w.asOf(momentWords(at, { words }))
})
const putOff = ref(false)
const newer = computed(() => takeNewer.value !== null && !putOff.value)
const told = computed(() => [
  ...(outbox.reachable ? [] : [w.outOfReach]),
  ...(copied.value ? [copied.value] : []),
  ...(waiting.value ? [`${waiting.value}.`] : []),
  ...(outbox.turnedDown.length > 0 ? [w.needsAWord(outbox.turnedDown.length)] : []),
])
</script>

<template>
  <div v-if="told.length || outbox.held > 0 || newer" class="strip" :class="{ amiss: outbox.held > 0 }">
    <p role="status">
      <strong v-if="outbox.held > 0">{{ w.full(outbox.held) }}</strong>
      {{ told.join(' ') }}
      <NuxtLink v-if="told.length || outbox.held > 0" to="/device">{{ w.more }}</NuxtLink>
    </p>
    <p v-if="newer" class="newer" role="status">
      {{ w.newer }}
      <el-button class="quiet-button" @click="takeNewer?.()">{{ w.take }}</el-button>
      <el-button link class="text-button" @click="putOff = true">{{ w.later }}</el-button>
    </p>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 24px;
  padding: 6px 20px;
  background: var(--panel);
  border-bottom: 1px solid var(--hairline);
  font-size: 15px;
}
.strip.amiss {
  border-left: 4px solid var(--out);
}
.newer {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-left: auto;
}
</style>
