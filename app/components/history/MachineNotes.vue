<script setup lang="ts">
import { historyWords } from '~~/shared/wording/viewWords'
import dayjs from 'dayjs'
import type { PastJob } from '~~/shared/api/answers'

/** What people left in words on a machine, newest first. */
const props = defineProps<{ jobs: readonly PastJob[] }>()
const w = historyWords.notes
const MOST = 5
const notes = computed(() =>
  props.jobs
    .flatMap((j) => [
      ...j.remarks,
      ...(j.exception ? [{ text: j.exception, by: j.signedBy, at: j.closedAt }] : []),
    ])
    .sort((a, b) => b.at.localeCompare(a.at))
    .slice(0, MOST)
    .map((n) => ({ ...n, said: `${n.by}, ${dayjs(n.at).format('D MMM YYYY')}` })),
)
</script>

<template>
  <SidePanel :name="w.title">
    <p v-if="notes.length === 0" class="muted">{{ w.none }}</p>
    <div v-for="n in notes" :key="n.at + n.text" class="note">
      <p>{{ n.text }}</p>
      <p class="muted">{{ n.said }}</p>
    </div>
  </SidePanel>
</template>

<style scoped>
.note {
  border-top: 1px solid var(--hairline);
  padding: 7px 0;
  font-size: 14px;
  line-height: 1.35;
  overflow-wrap: anywhere;
}
</style>
