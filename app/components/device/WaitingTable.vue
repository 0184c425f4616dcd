<script setup lang="ts">
import { deviceWords, kindsWords, shellWords } from '~~/shared/wording/en'
import { momentWords } from '~~/shared/wording/days'
import type { EntryKind } from '~~/core/logbook/entry'
import { gate } from '~/people/gate'
import type { OutboxRow } from '~/device/database'
import type { Keep } from '~/device/keeps'
import { resultsWaiting } from '~/practice/handIn'

/** Every entry that waits on this device, whose it is, since when and for what. */
const props = defineProps<{ keeps: readonly Keep[] }>()
const outbox = useOutbox()
const session = useSession()
const words = useWords()
const w = deviceWords(words).waits
const connection = shellWords(words).connection
const what = (row: OutboxRow) =>
  row.machine !== null ? w.opening : (kindsWords(words)[row.entry.kind as EntryKind] ?? row.entry.kind)
const state = (row: OutboxRow, first: boolean) => {
  if (row.turnedDown) return connection.needsAWord
  if (row.n === undefined && outbox.held > 0) return w.state.memory
  if (!first) return w.state.behind
  if (gate.asksFor.value === row.entry.author)
    return w.state.pin(session.personName(String(row.entry.author)))
  return outbox.reachable ? w.state.sending : w.state.away
}
const rows = computed(() => {
  const seen = new Set<string>()
  return outbox.rows.map((row) => {
    const first = !seen.has(row.job)
    seen.add(row.job)
    return {
      id: row.id,
      job: row.job,
      what: what(row),
      tag: row.machine ?? props.keeps.find((k) => k.id === row.job)?.tag ?? w.unknownJob,
      by: session.personName(String(row.entry.author)),
      at: typeof row.entry.madeAt === 'string' ? momentWords(row.entry.madeAt, { words }) : '',
      state: state(row, first),
      down: row.turnedDown?.message ?? '',
    }
  })
})
</script>

<template>
  <section :aria-label="w.title">
    <h2>{{ w.title }}</h2>
    <p v-if="rows.length === 0">{{ w.none }}</p>
    <el-table v-else :data="rows" class="panel">
      <el-table-column :label="w.columns.what" min-width="180">
        <template #default="{ row }">
          {{ row.what }}
          <p v-if="row.down" class="fault">
            {{ row.down }} <NuxtLink :to="`/jobs/${row.job}`">{{ w.settle }}</NuxtLink>
          </p>
        </template>
      </el-table-column>
      <el-table-column :label="w.columns.job" min-width="90">
        <template #default="{ row }"
          ><NuxtLink :to="`/jobs/${row.job}`">{{ row.tag }}</NuxtLink></template
        >
      </el-table-column>
      <el-table-column prop="by" :label="w.columns.by" min-width="150" />
      <el-table-column prop="at" :label="w.columns.at" min-width="110" />
      <el-table-column prop="state" :label="w.columns.state" min-width="150" />
    </el-table>
    <p v-if="resultsWaiting > 0">{{ w.practice(resultsWaiting) }}</p>
  </section>
</template>
