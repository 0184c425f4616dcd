import type { Knex } from 'knex'
import type { LogEntry } from '../../core/logbook/entry'

interface EntryRow {
  readonly id: string
  readonly job_id: string
  readonly kind: string
  readonly payload: unknown
  readonly author: string
  readonly made_at: Date
  readonly received_at: Date
  readonly supersedes: string | null
  readonly supersede_reason: string | null
}

const COLUMNS = [
  'id',
  'job_id',
  'kind',
  'payload',
  'author',
  'made_at',
  'received_at',
  'supersedes',
  'supersede_reason',
]

const toEntry = (row: EntryRow): LogEntry =>
  // The payload passed its Zod schema on the way in and entries are never changed.
  ({
    id: row.id,
    kind: row.kind,
    payload: row.payload,
    author: row.author,
    madeAt: row.made_at.toISOString(),
    receivedAt: row.received_at.toISOString(),
    supersedes: row.supersedes ? { entry: row.supersedes, reason: row.supersede_reason ?? '' } : null,
  }) as LogEntry

/** A job's logbook in order. */
export const listEntries = async (knex: Knex, jobId: string): Promise<readonly LogEntry[]> =>
  ((await knex('entries').where({ job_id: jobId }).orderBy('seq').select(COLUMNS)) as EntryRow[]).map(toEntry)

/** An entry by its id with the job it stands in, or null. */
export const findEntry = async (
  knex: Knex,
  id: string,
): Promise<{ readonly jobId: string; readonly entry: LogEntry } | null> => {
  const row = (await knex('entries').where({ id }).first(COLUMNS)) as EntryRow | undefined
  return row ? { jobId: row.job_id, entry: toEntry(row) } : null
}

/** Appends an entry as number `seq` of its job. */
export const insertEntry = async (knex: Knex, jobId: string, seq: number, entry: LogEntry): Promise<void> => {
  await knex('entries').insert({
    id: entry.id,
    job_id: jobId,
    seq,
    kind: entry.kind,
    payload: JSON.stringify(entry.payload),
    author: entry.author,
    made_at: entry.madeAt,
    received_at: entry.receivedAt,
    supersedes: entry.supersedes?.entry ?? null,
    supersede_reason: entry.supersedes?.reason ?? null,
  })
}
