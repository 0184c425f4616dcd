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
/** Recently used logbooks, oldest use first. Objects stay the same ones, so that the fold remembers them. */
const kept = new Map<string, Logbook>()

/** A few entries more go on from what was folded; many are folded anew, in one go. */
const goneOn = (entries: readonly LogEntry[], later: readonly LogEntry[]): readonly LogEntry[] =>
  later.length > 20 ? [...entries, ...later] : later.reduce((now, e) => extended(now, e), entries)

/** Keeps a logbook as it stands after a committed transaction. */
export const keepLogbook = (jobId: string, logbook: Logbook): void => {
  kept.delete(jobId)
  kept.set(jobId, logbook)
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value as string)
}

/** The logbook as it stood when it was last used; null when it is not kept. */
export const keptLogbook = (jobId: string): Logbook | null => kept.get(jobId) ?? null

/** Forgets a logbook that proved to be out of date. */
export const forgetLogbook = (jobId: string): void => {
  kept.delete(jobId)
}

/**
 * The logbook of a job whose row was read in this transaction. What is kept counts while its length
 * equals the row's entry count; otherwise only later entries are loaded.
 */
export const logbookOf = async (knex: Knex, job: JobHead): Promise<Logbook> => {
  const known = kept.get(job.id)
  if (known && known.entries.length === job.entryCount) return known
  const usable = known && known.entries.length < job.entryCount ? known : null
  const later = await listEntries(knex, job.id, usable?.entries.length ?? 0)
  return {
    machine: usable?.machine ?? job.machine(),
    entries: usable ? goneOn(usable.entries, later) : later,
  }
}
