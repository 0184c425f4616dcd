<script setup lang="ts">
import { STAGE_NAMES } from '~~/shared/wording/names'

/** Entries the server would not take: what it said, and what to do. Nothing typed is thrown away unasked. */
const outbox = useOutbox()
const job = useJob()
const mine = computed(() => outbox.turnedDown.filter((t) => t.jobId === job.id))
const kind = (k: string) =>
  ({
    'readings-taken': 'A set of readings',
    'set-up': STAGE_NAMES['set-up'],
    'move-made': 'A move',
    'job-closed': 'The closing',
  })[k] ?? 'An entry'
const again = (id: string) => {
  const one = mine.value.find((t) => t.entry.id === id)
  if (!one) return
  outbox.forget(id)
  outbox.post(one.jobId, { ...one.entry, id: crypto.randomUUID() })
}
</script>

<template>
  <div v-for="t in mine" :key="t.entry.id" class="down" role="alert">
    <p>
      <strong>{{ kind(t.entry.kind) }} was not taken.</strong> {{ t.message }}
    </p>
    <button type="button" class="text-button" @click="again(t.entry.id)">Send it again</button>
    <button type="button" class="text-button" @click="outbox.forget(t.entry.id)">Drop it</button>
  </div>
</template>

<style scoped>
.down {
  border-left: 3px solid var(--out);
  padding-left: 12px;
}
</style>
