import { defineStore } from 'pinia'
import type { LogEntry } from '~~/core/logbook/entry'
import type { EntryAnswer } from '~~/shared/api/answers'
import { fromWire, toWire } from '~~/shared/logbook/lifts'
import type { OutboxRow } from '~/device/database'
import { photographsOf } from '~~/shared/photographs/photographs'
import { forgetPhotographs, sendPhotographs } from '~/device/photographs'
import { openOutbox, type Answer, type Settlement } from '~/device/outbox'
import { reachable } from '~/device/reach'
import { gate } from '~/people/gate'
import { takeOverOldQueue } from '~/device/outboxQueue'

/** A connection that is neither answered nor broken would hold the queue for good: sending twice is harmless. */
const PATIENCE_SECONDS = 10
/** Out of reach with nothing to send, the server is looked for as often. */
const LOOK_EVERY_MS = 6000

const request = (row: OutboxRow) => {
  const { receivedAt: _, ...draft } = row.entry
  return row.machine === null
    ? askServer<EntryAnswer>(`/api/jobs/${row.job}/entries`, {
        method: 'POST',
        body: draft,
        seconds: PATIENCE_SECONDS,
      })
    : askServer<EntryAnswer>('/api/jobs', {
        method: 'POST',
        body: { id: row.job, machine: row.machine, opening: draft },
        seconds: PATIENCE_SECONDS,
      })
}

const sendToServer = async (row: OutboxRow): Promise<Answer> => {
  try {
    // Photographs go before the entry that shows them: a logbook never points at nothing.
    await sendPhotographs(row.job, photographsOf(row.entry))
    const answer = await request(row)
    await forgetPhotographs(photographsOf(row.entry)).catch(() => null)
    if (gate.asksFor.value === row.entry.author) gate.asksFor.value = null
    return { kind: 'taken', entry: fromWire(answer.entry) }
  } catch (failure) {
    if (!(failure instanceof ApiFailure) || failure.passing) return { kind: 'away' }
    const { status, message } = failure
    if (status === 401) {
      if (failure.answer.code === 'sign-in-as') gate.asksFor.value = String(row.entry.author)
      return { kind: 'unsigned' }
    }
    return { kind: 'turned-down', because: { status, code: failure.answer.code, message } }
  }
}

/** The outbox of this device, as the views see it. */
export const useOutbox = defineStore('outbox', () => {
  const session = useSession()
  const rows = shallowRef<readonly OutboxRow[]>([])
  /** Entries that stand in this window alone, as the device is full. */
  const held = ref(0)
  /** The line on which news of the job in view comes is up. */
  const linked = ref(false)
  const received = shallowRef<{ job: string; entry: LogEntry } | null>(null)
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('hc.outbox')

  const waiting = computed(() => rows.value.filter((r) => r.turnedDown === null))
  const turnedDown = computed(() => rows.value.filter((r) => r.turnedDown !== null))
  /** When the oldest of what waits was written; null when nothing does. */
  const since = computed((): string | null => {
    const written = rows.value.flatMap((r) => (typeof r.entry.madeAt === 'string' ? [r.entry.madeAt] : []))
    return written.sort()[0] ?? null
  })

  const outbox = openOutbox({
    send: sendToServer,
    show: (now) => {
      rows.value = now
    },
    taken: (job, entry) => {
      received.value = { job, entry }
    },
    reachable: (now) => {
      reachable.value = now
    },
    held: (inMemory) => {
      held.value = inMemory
    },
    makeRoom: async () => (await import('~/device/keeps')).makeRoom(location.pathname.split('/').pop() ?? ''),
    tellTabs: () => channel?.postMessage('changed'),
    later: (ms, then) => {
      const timer = setTimeout(then, ms)
      return () => clearTimeout(timer)
    },
  })

  const post = (job: string, entry: LogEntry, machine: string | null = null) =>
    outbox.put({ job, id: entry.id, entry: { ...toWire(entry) }, machine, turnedDown: null })
  const settle = (row: OutboxRow, how: Settlement, lastSeen: string | null) =>
    outbox.settle(row, how, lastSeen)

  let begun = false
  /** Each layout calls it; the first time it takes up what an earlier visit left. */
  const begin = async () => {
    if (begun) return
    begun = true
    await takeOverOldQueue()
    channel?.addEventListener('message', () => void outbox.reread())
    window.addEventListener('online', () => void outbox.send())
    watch(reachable, (now) => now && void outbox.send())
    setInterval(() => {
      if (!reachable.value && !document.hidden)
        void askServer('/api/health', { seconds: 4 }).catch(() => null)
    }, LOOK_EVERY_MS)
    watch(
      () => session.signedIn,
      () => void outbox.send(),
    )
    await outbox.send()
  }

  return { rows, waiting, turnedDown, since, held, reachable, linked, received, begin, post, settle }
})
