import 'fake-indexeddb/auto'
import type { LogEntry } from '../../core/logbook/entry'
import type { OutboxRow } from './database'
import { openOutbox, type Answer } from './outbox'

/** The platform's locks over all tabs of a test: one holder a name, the others are told at once. */
export const layLocks = (): void => {
  const held = new Set<string>()
  const request = async (
    name: string,
    _: { ifAvailable: boolean },
    work: (lock: object | null) => Promise<void>,
  ): Promise<void> => {
    if (held.has(name)) return work(null)
    held.add(name)
    try {
      await work({ name })
    } finally {
      held.delete(name)
    }
  }
  Object.defineProperty(globalThis, 'navigator', { value: { locks: { request } }, configurable: true })
}

/** As a platform without locks: an insecure origin. */
export const takeLocks = (): void =>
  void Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true })

/** An entry of this id in a job's queue. */
export const rowOf = (job: string, id: string, machine: string | null = null): OutboxRow => ({
  job,
  id,
  entry: { id, kind: 'remark', version: 1, after: null, before: null, payload: { text: id } },
  machine,
  turnedDown: null,
})

/** What the server answers when it has taken a row. */
export const taken = (row: OutboxRow): Answer => ({
  kind: 'taken',
  entry: { ...row.entry, receivedAt: '2026-11-25T08:00:00Z' } as unknown as LogEntry,
})
export const turnedDown = (code = 'stale-round'): Answer => ({
  kind: 'turned-down',
  because: { status: 409, code, message: 'A move was logged meanwhile.' },
})
export const AWAY: Answer = { kind: 'away' }

/** One tab over the shared store, against a server that a test plays. */
export const openTab = (server: (row: OutboxRow) => Promise<Answer> | Answer) => {
  const tab = {
    shown: [] as readonly OutboxRow[],
    taken: [] as { job: string; id: string }[],
    sent: [] as string[],
    reachable: true,
    told: 0,
    held: 0,
    /** Copies that could be let go of. */
    spare: 0,
    /** What it would do later, and when. */
    later: [] as { ms: number; then: () => void }[],
  }
  const outbox = openOutbox({
    send: async (row) => {
      tab.sent.push(row.id)
      return server(row)
    },
    show: (rows) => {
      tab.shown = rows
    },
    taken: (job, entry) => void tab.taken.push({ job, id: entry.id }),
    reachable: (now) => {
      tab.reachable = now
    },
    held: (inMemory) => {
      tab.held = inMemory
    },
    makeRoom: async () => tab.spare-- > 0,
    tellTabs: () => void tab.told++,
    later: (ms, then) => {
      const planned = { ms, then }
      tab.later.push(planned)
      return () => void tab.later.splice(tab.later.indexOf(planned) >>> 0, 1)
    },
  })
  return Object.assign(tab, outbox)
}
