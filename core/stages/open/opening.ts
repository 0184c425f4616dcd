import type { LogEntry } from '../../logbook/entry'

/** The entry a job was opened with; null for a logbook without one. */
export type Opening = LogEntry<'job-opened'> | null

export const keepOpening = (now: Opening, e: LogEntry): Opening =>
  e.kind === 'job-opened' ? (now ?? e) : now

/** Remarks, oldest first. */
export type Remarks = readonly LogEntry<'remark'>[]

export const keepRemarks = (now: Remarks, e: LogEntry): Remarks => (e.kind === 'remark' ? [...now, e] : now)
