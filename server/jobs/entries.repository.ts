import type { Knex } from 'knex'
import { LEAF_KINDS, leavesIn } from '../../core/stores/leavesMoved'
import type { LogEntry } from '../../core/logbook/entry'
import type { LeafUse } from '../../core/tools/toolsToTake'
import { toCore } from '../../core/units/unitSystem'
import { readBody } from '../../shared/logbook/kinds'

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
  readonly part: string | null
  readonly second: string | null
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
  'part',
  'second',
]

const toEntry = (row: EntryRow): LogEntry => ({
  id: row.id,
  author: row.author,
  madeAt: row.made_at.toISOString(),
  receivedAt: row.received_at.toISOString(),
  after: row.after_entry,
  before: row.before_entry,
  supersedes: row.supersedes ? { entry: row.supersedes, reason: row.supersede_reason ?? '' } : null,
  ...(row.part === null ? {} : { part: row.part }),
  ...(row.second === null ? {} : { second: row.second }),
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

/** The jobs that entries stand in, by their ids; of those that are known. */
export const jobsOfEntries = async (
  knex: Knex,
  ids: readonly string[],
): Promise<ReadonlyMap<string, string>> => {
  const rows = (await knex('entries').whereIn('id', ids).select('id', 'job_id')) as {
    id: string
    job_id: string
  }[]
  return new Map(rows.map((r) => [r.id, r.job_id]))
}

/** The last set-up of each part in a job's logbook that no other corrects; under no name where a machine has no parts. */
export const lastSetUps = async (
  knex: Knex,
  jobId: string,
): Promise<ReadonlyMap<string, LogEntry<'set-up'>>> => {
  const rows = (await knex('entries')
    .where({ job_id: jobId, kind: 'set-up' })
    .whereNotIn(
      'id',
      knex('entries').select('supersedes').where({ job_id: jobId }).whereNotNull('supersedes'),
    )
    .orderBy('seq')
    .select(COLUMNS)) as EntryRow[]
  return new Map(rows.map(toEntry).flatMap((e) => (e.kind === 'set-up' ? [[e.part ?? '', e] as const] : [])))
}

/** Entries of these kinds in these jobs, by job and in order. */
export const entriesOfJobs = async (
  knex: Knex,
  jobs: readonly string[],
  kinds: readonly LogEntry['kind'][],
): Promise<ReadonlyMap<string, readonly LogEntry[]>> => {
  const rows = (await knex('entries')
    .whereIn('job_id', jobs)
    .whereIn('kind', kinds)
    .orderBy(['job_id', 'seq'])
    .select(COLUMNS)) as EntryRow[]
  const byJob = new Map<string, LogEntry[]>()
  for (const row of rows) byJob.set(row.job_id, [...(byJob.get(row.job_id) ?? []), toEntry(row)])
  return byJob
}

/** Jobs of a machine whose leaves say what the next one may want. */
const JOBS_BACK = 5

/** What the last closed jobs of a machine before this moment put under its feet, by thickness. */
export const leavesPutIn = async (
  knex: Knex,
  machineId: string,
  before: Date,
): Promise<readonly LeafUse[]> => {
  const jobs = (await knex('jobs')
    .where({ machine_id: machineId })
    .where('closed_at', '<', before)
    .orderBy('closed_at', 'desc')
    .limit(JOBS_BACK)
    .pluck('id')) as string[]
  const rows = (await knex('entries')
    .whereIn('job_id', jobs)
    .whereIn('kind', [...LEAF_KINDS])
    .select(COLUMNS)) as EntryRow[]
  const corrected = new Set(rows.map((r) => r.supersedes))
  const counts = new Map<number, number>()
  for (const entry of rows.filter((r) => !corrected.has(r.id)).map(toEntry)) {
    const work = leavesIn(entry)
    for (const t of work?.changes.flatMap((c) => c.putIn) ?? []) {
      const thickness = Number(toCore(t, 'displacement', work?.units ?? 'metric').toFixed(5))
      counts.set(thickness, (counts.get(thickness) ?? 0) + 1)
    }
  }
  return [...counts].map(([thickness, count]) => ({ thickness, count }))
}
