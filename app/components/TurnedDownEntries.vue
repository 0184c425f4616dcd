<script setup lang="ts">
import { kindsWords, shellWords } from '~~/shared/wording/en'
import { moveSince } from '~~/core/logbook/admit'
import type { EntryKind } from '~~/core/logbook/entry'
import type { OutboxRow } from '~/device/database'

/**
 * The entry this job's queue halts at: what the server said, and the one tap that settles it.
 * Nothing typed is thrown away unasked, and nothing behind it overtakes it.
 */
const outbox = useOutbox()
const job = useJob()
const telling = useTelling()
const w = computed(() => shellWords(telling.value.words).turnedDown)
const behind = computed(() => outbox.waiting.filter((w) => w.job === job.id).length)
const kind = (row: OutboxRow) =>
  kindsWords(telling.value.words)[row.entry.kind as EntryKind] ?? w.value.anEntry
const moveFor = (row: OutboxRow) =>
  moveSince(job.logbook, typeof row.entry.after === 'string' ? row.entry.after : null)
const settle = (row: OutboxRow, how: Parameters<typeof outbox.settle>[1]) =>
  void outbox.settle(row, how, job.lastSeen())
</script>

<template>
  <div v-for="row in job.turnedDown" :key="row.id" class="down" role="alert">
    <p>
      <strong>{{ w.notTaken(kind(row)) }}</strong> {{ row.turnedDown?.message }}
      <template v-if="behind"> {{ w.behind(behind) }}</template>
    </p>
    <template v-if="row.turnedDown?.code === 'moved-meanwhile' && moveFor(row)">
      <el-button class="quiet-button" @click="settle(row, { before: moveFor(row)!.id })">{{
        w.before
      }}</el-button>
      <el-button class="quiet-button" @click="settle(row, 'after')">{{ w.after }}</el-button>
    </template>
    <el-button v-else class="quiet-button" @click="settle(row, 'again')">{{ w.again }}</el-button>
    <el-button class="quiet-button" @click="settle(row, 'leave-out')">{{ w.leaveOut }}</el-button>
  </div>
</template>

<style scoped>
.down {
  border-left: 3px solid var(--out);
  padding-left: 12px;
  display: grid;
  gap: 8px;
}
</style>
