import type { Knex } from 'knex'
import type { LogEntry } from '../../core/logbook/entry'
import { readBody } from '../../shared/logbook/kinds'
import { versionOf } from '../../shared/logbook/lifts'

interface EntryRow {
  readonly id: string
  readonly job_id: string
  readonly kind: string
  readonly version: number
  readonly payload: unknown
  readonly author: string
  readonly made_at: Date
  readonly received_at: Date
  readonly after_entry: string | null
  readonly before_entry: string | null
  readonly supersedes: string | null
  readonly supersede_reason: string | null
}

const COLUMNS = [
  'id',
  'job_id',
  'kind',
  'version',
  'payload',
  'author',
  'made_at',
  'received_at',
  'after_entry',
  'before_entry',
  'supersedes',
  'supersede_reason',
]

const toEntry = (row: EntryRow): LogEntry => ({
  id: row.id,
  author: row.author,
  madeAt: row.made_at.toISOString(),
  receivedAt: row.received_at.toISOString(),
  after: row.after_entry,
  before: row.before_entry,
  supersedes: row.supersedes ? { entry: row.supersedes, reason: row.supersede_reason ?? '' } : null,
  ...readBody(row.kind, row.version, row.payload),
})

/** A job's logbook in order, from after number `from`; each payload lifted to today's version. */
export const listEntries = async (knex: Knex, jobId: string, from = 0): Promise<readonly LogEntry[]> =>
  (
    (await knex('entries')
      .where({ job_id: jobId })
      .where('seq', '>', from)
      .orderBy('seq')
      .select(COLUMNS)) as EntryRow[]
  ).map(toEntry)

/** An entry by its id with the job it stands in, or null. */
export const findEntry = async (
  knex: Knex,
  id: string,
): Promise<{ readonly jobId: string; readonly entry: LogEntry } | null> => {
  const row = (await knex('entries').where({ id }).first(COLUMNS)) as EntryRow | undefined
  return row ? { jobId: row.job_id, entry: toEntry(row) } : null
}

/** The last set-up in a job's logbook that no other corrects; null when it has none. */
export const lastSetUp = async (knex: Knex, jobId: string): Promise<LogEntry<'set-up'> | null> => {
  const row = (await knex('entries')
    .where({ job_id: jobId, kind: 'set-up' })
    .whereNotIn(
      'id',
      knex('entries').select('supersedes').where({ job_id: jobId }).whereNotNull('supersedes'),
    )
    .orderBy('seq', 'desc')
    .first(COLUMNS)) as EntryRow | undefined
  const entry = row && toEntry(row)
  return entry?.kind === 'set-up' ? entry : null
}

/** Appends an entry as number `seq` of its job, with the version its payload is written in. */
export const insertEntry = async (knex: Knex, jobId: string, seq: number, entry: LogEntry): Promise<void> => {
  await knex('entries').insert({
    id: entry.id,
    job_id: jobId,
    seq,
    kind: entry.kind,
    version: versionOf(entry.kind),
    payload: JSON.stringify(entry.payload),
    author: entry.author,
    made_at: entry.madeAt,
    received_at: entry.receivedAt,
    after_entry: entry.after,
    before_entry: entry.before,
    supersedes: entry.supersedes?.entry ?? null,
    supersede_reason: entry.supersedes?.reason ?? null,
  })
}
