import type { LogEntry } from '../../core/logbook/entry'
import type { OutboxRow, TurnedDown } from './database'
import { addRow, allRows, alone, headOf, removeRow, replaceRow } from './outboxQueue'

/** Between two tries while the server is away; the last one is kept to. */
export const RETRY_MS = [500, 1000, 2000, 4000, 8000] as const

/** What came of sending a row. */
export type Answer =
  | { readonly kind: 'taken'; readonly entry: LogEntry }
  | { readonly kind: 'turned-down'; readonly because: TurnedDown }
  /** No answer, or one that will be another soon. */
  | { readonly kind: 'away' }
  /** Whoever wrote it has to sign in first: it waits for them. */
  | { readonly kind: 'unsigned' }

/** How a person settles an entry that was turned down. */
export type Settlement = 'again' | { readonly before: string } | 'after' | 'leave-out'

/** What the outbox needs from where it runs, and whom it tells. */
export interface Around {
  readonly send: (row: OutboxRow) => Promise<Answer>
  /** All rows, whenever they have changed. */
  readonly show: (rows: readonly OutboxRow[]) => void
  readonly taken: (job: string, entry: LogEntry) => void
  readonly reachable: (now: boolean) => void
  /** How many entries stand in this window alone, as the device's store holds no more. */
  readonly held: (inMemory: number) => void
  /** Lets go of copies that can be had again; false when there is none to spare. */
  readonly makeRoom: () => Promise<boolean>
  /** Tells the other tabs that rows have changed. */
  readonly tellTabs: () => void
  /** Runs something later, unless called off. */
  readonly later: (ms: number, then: () => void) => () => void
}

/**
 * Entries on their way to the server: one queue a job, kept on the device until the server has them,
 * shared by all tabs. A queue halts at an entry that is turned down, so that nothing behind it slips
 * into the wrong place. A UUID posted twice is harmless, so a lost answer costs nothing.
 */
export const openOutbox = (around: Around) => {
  /** Rows of this tab that the device store is still writing. */
  const writing = new Map<string, OutboxRow>()
  /** Rows that it can't hold: they wait in memory, behind what it does hold. */
  const unkept = new Map<string, OutboxRow>()
  let rows: readonly OutboxRow[] = []
  let attempt = 0
  let callOff = () => {}

  const show = (now: readonly OutboxRow[]) => {
    rows = now
    around.show(now)
  }
  const reread = async () => {
    const kept = await allRows().catch(() => [])
    const known = new Set(kept.map((r) => r.id))
    const ours = [...unkept.values(), ...writing.values()]
    show([...kept, ...ours.filter((r) => !known.has(r.id))])
    around.held(unkept.size)
    // Another tab may have sent what this one could not.
    if (rows.length === 0) around.reachable(true)
  }
  const changed = async () => {
    await reread()
    around.tellTabs()
  }
  const headOfJob = async (job: string) =>
    (await headOf(job).catch(() => undefined)) ?? [...unkept.values()].find((r) => r.job === job)
  /** Entries go before copies: where the store is full those make room, one half after the other. */
  const keep = async (row: OutboxRow): Promise<void> => {
    try {
      await addRow(row)
    } catch (failure) {
      if (!(await around.makeRoom().catch(() => false))) throw failure
      await keep(row)
    }
  }
  /** What stood in memory moves to the device once there is room again. */
  const takeUp = async () => {
    for (const row of [...unkept.values()]) {
      await addRow(row)
      unkept.delete(row.id)
    }
  }
  const drop = async (row: OutboxRow) => {
    if (row.n === undefined) unkept.delete(row.id)
    else await removeRow(row.n)
  }
  const replace = async (row: OutboxRow) => {
    if (row.n === undefined) unkept.set(row.id, row)
    else await replaceRow(row)
  }

  const tryAgainIn = (ms: number) => {
    callOff()
    callOff = around.later(ms, () => void send())
  }

  /** Sends a job's queue in order until it is empty, halts, or the server is away. */
  const sendJob = async (job: string): Promise<void> => {
    const ran = await alone(job, async () => {
      for (let row = await headOfJob(job); row && !row.turnedDown; row = await headOfJob(job)) {
        const answer = await around.send(row)
        around.reachable(answer.kind !== 'away')
        if (answer.kind === 'unsigned') return
        if (answer.kind === 'away') {
          tryAgainIn(RETRY_MS[Math.min(attempt++, RETRY_MS.length - 1)] as number)
          return
        }
        attempt = 0
        if (answer.kind === 'taken') {
          around.taken(job, answer.entry)
          await drop(row)
        } else await replace({ ...row, turnedDown: answer.because })
        await changed()
      }
    })
    // Whoever sends may have looked for the last time before this entry was kept.
    if (!ran) tryAgainIn(RETRY_MS[0])
  }

  /** Nobody waits for it; should the store fail meanwhile, the queue is still there at the next try. */
  const beginToSend = (job: string) => void sendJob(job).catch(() => {})

  /** Sends all that waits, each job's queue by itself. */
  const send = async (): Promise<void> => {
    await takeUp().catch(() => {})
    await reread()
    await Promise.all([...new Set(rows.map((r) => r.job))].map(sendJob))
  }

  /** Keeps a row on the device and begins to send it. It is shown at once, while the store still writes. */
  const put = async (row: OutboxRow): Promise<void> => {
    writing.set(row.id, row)
    show([...rows, row])
    await keep(row).catch(() => unkept.set(row.id, row))
    writing.delete(row.id)
    await changed()
    beginToSend(row.job)
  }

  /** What a person says of an entry that was turned down; the queue goes on after it. */
  const settle = async (row: OutboxRow, how: Settlement, lastSeen: string | null): Promise<void> => {
    const place =
      typeof how === 'object' ? { before: how.before } : how === 'after' ? { after: lastSeen } : {}
    if (how === 'leave-out') await drop(row)
    else await replace({ ...row, entry: { ...row.entry, ...place }, turnedDown: null })
    await changed()
    beginToSend(row.job)
  }

  return { reread, send, put, settle }
}
