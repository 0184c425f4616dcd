import { defineStore } from 'pinia'
import type { LogEntry } from '~~/core/logbook/entry'
import type { EntryAnswer } from '~~/shared/api/answers'
import { fromWire, toWire } from '~~/shared/logbook/entry'
import type { OutboxRow } from '~/device/database'
import {
  addRow,
  allRows,
  alone,
  haltAt,
  headOf,
  removeRow,
  replaceRow,
  takeOverOldQueue,
} from '~/device/outboxQueue'

const RETRY_MS = [500, 1000, 2000, 4000, 8000]

/** How a person settles an entry that was turned down. */
export type Settlement = 'again' | { readonly before: string } | 'after' | 'leave-out'

/**
 * Entries on their way to the server: one queue a job, kept on the device until the server has them,
 * shared by all tabs. A queue halts at an entry that is turned down, so that nothing behind it slips
 * into the wrong place. A UUID posted twice is harmless, so a lost answer costs nothing.
 */
export const useOutbox = defineStore('outbox', () => {
  const rows = shallowRef<readonly OutboxRow[]>([])
  const reachable = ref(true)
  const received = shallowRef<{ job: string; entry: LogEntry } | null>(null)
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('hc.outbox')
  let attempt = 0
  let retry: ReturnType<typeof setTimeout> | undefined

  const waiting = computed(() => rows.value.filter((r) => r.turnedDown === null))
  const turnedDown = computed(() => rows.value.filter((r) => r.turnedDown !== null))

  /** Rows written by this tab that the device store has not confirmed yet. */
  const unwritten = new Map<string, OutboxRow>()
  const reread = async () => {
    const kept = await allRows()
    const known = new Set(kept.map((r) => r.id))
    rows.value = [...kept, ...[...unwritten.values()].filter((r) => !known.has(r.id))]
    // Another tab may have sent what this one could not.
    if (rows.value.length === 0) reachable.value = true
  }
  const changed = async () => {
    await reread()
    channel?.postMessage('changed')
  }

  const request = (row: OutboxRow) => {
    const { receivedAt: _, ...draft } = row.entry
    return row.machine === null
      ? askServer<EntryAnswer>(`/api/jobs/${row.job}/entries`, { method: 'POST', body: draft })
      : askServer<EntryAnswer>('/api/jobs', {
          method: 'POST',
          body: { id: row.job, machine: row.machine, opening: draft },
        })
  }

  /** Sends a job's queue in order until it is empty, halts, or the server is away. */
  const sendJob = (job: string) =>
    alone(job, async () => {
      for (let row = await headOf(job); row && !row.turnedDown; row = await headOf(job)) {
        try {
          const answer = await request(row)
          received.value = { job, entry: fromWire(answer.entry) }
          reachable.value = true
          attempt = 0
          await removeRow(row.n as number)
        } catch (failure) {
          if (!(failure instanceof ApiFailure) || failure.passing) {
            reachable.value = false
            clearTimeout(retry)
            retry = setTimeout(() => void send(), RETRY_MS[Math.min(attempt++, RETRY_MS.length - 1)])
            return
          }
          reachable.value = true
          await haltAt(row, {
            status: failure.status,
            code: failure.answer.code,
            message: failure.message,
          })
        }
        await changed()
      }
    })

  const send = async () => {
    await reread()
    await Promise.all([...new Set(rows.value.map((r) => r.job))].map(sendJob))
  }

  const put = async (row: OutboxRow) => {
    unwritten.set(row.id, row)
    rows.value = [...rows.value, row]
    await addRow(row)
    unwritten.delete(row.id)
    await changed()
    void sendJob(row.job)
  }

  const post = (job: string, entry: LogEntry, machine: string | null = null) =>
    put({ job, id: entry.id, entry: { ...toWire(entry) }, machine, turnedDown: null })

  /** What a person says of an entry that was turned down; the queue goes on after it. */
  const settle = async (row: OutboxRow, how: Settlement, lastSeen: string | null) => {
    if (how === 'leave-out') await removeRow(row.n as number)
    else {
      const place =
        typeof how === 'object' ? { before: how.before } : how === 'after' ? { after: lastSeen } : {}
      await replaceRow({ ...row, entry: { ...row.entry, ...place }, turnedDown: null })
    }
    await changed()
    void sendJob(row.job)
  }

  const begin = async () => {
    await takeOverOldQueue()
    channel?.addEventListener('message', () => void reread())
    window.addEventListener('online', () => void send())
    await send()
  }

  return { rows, waiting, turnedDown, reachable, received, begin, send, post, settle }
})
