import type { Knex } from 'knex'
import type { LogEntry } from '../../core/logbook/entry'
import { extended } from '../../core/logbook/forward'
import type { MachineSnapshot } from '../../shared/register/machine'
import { listEntries } from './entries.repository'
import type { JobHead } from './jobs.repository'

/** A job's machine and its whole logbook, as the fold takes them. */
export interface Logbook {
  readonly machine: MachineSnapshot
  readonly entries: readonly LogEntry[]
}

const MOST_KEPT = 300
interface Kept {
  readonly logbook: Logbook
  readonly byId: Map<string, LogEntry>
}

/** Recently used logbooks, oldest use first. Objects stay the same ones, so that the fold remembers them. */
const kept = new Map<string, Kept>()

/** A few entries more go on from what was folded; many are folded anew, in one go. */
const goneOn = (entries: readonly LogEntry[], later: readonly LogEntry[]): readonly LogEntry[] =>
  later.length > 20 ? [...entries, ...later] : later.reduce((now, e) => extended(now, e), entries)

/** Keeps a logbook as it stands after a committed transaction. */
export const keepLogbook = (jobId: string, logbook: Logbook): void => {
  const known = kept.get(jobId)
  const length = known?.logbook.entries.length ?? 0
  const { entries } = logbook
  const grew = known && (length === 0 || known.logbook.entries[length - 1] === entries[length - 1])
  const byId = grew ? known.byId : new Map<string, LogEntry>()
  for (let i = grew ? length : 0; i < entries.length; i++) {
    const entry = entries[i] as LogEntry
    byId.set(entry.id, entry)
  }
  kept.delete(jobId)
  kept.set(jobId, { logbook, byId })
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value as string)
}

/** The entry with this id in a logbook, or nothing: looked up where the logbook is the kept one. */
export const entryIn = (jobId: string, { entries }: Logbook, id: string): LogEntry | undefined => {
  const known = kept.get(jobId)
  return known?.logbook.entries === entries ? known.byId.get(id) : entries.find((e) => e.id === id)
}

/** The logbook as it stood when it was last used; null when it is not kept. */
export const keptLogbook = (jobId: string): Logbook | null => kept.get(jobId)?.logbook ?? null

/** Forgets a logbook that proved to be out of date. */
export const forgetLogbook = (jobId: string): void => {
  kept.delete(jobId)
}

/**
 * The logbook of a job whose row was read in this transaction. What is kept counts while its length
 * equals the row's entry count; otherwise only later entries are loaded.
 */
export const logbookOf = async (knex: Knex, job: JobHead): Promise<Logbook> => {
  const known = kept.get(job.id)?.logbook
  if (known && known.entries.length === job.entryCount) return known
  const usable = known && known.entries.length < job.entryCount ? known : null
  const later = await listEntries(knex, job.id, usable?.entries.length ?? 0)
  return {
    machine: usable?.machine ?? job.machine(),
    entries: usable ? goneOn(usable.entries, later) : later,
  }
}
