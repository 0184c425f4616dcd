import type { Knex } from 'knex'
import type { JobState } from '../../core/logbook/foldJob'
import type { CouplingSummary, JobSummary } from '../../shared/api/answers'
import type { MachineSnapshot } from '../../shared/register/machine'

/** The columns derived from a logbook, as lists and search need them. */
export interface JobColumns {
  readonly stage: string
  readonly verdict: string
  readonly rounds: number
  readonly asFound: CouplingSummary | null
  readonly asLeft: CouplingSummary | null
}

const summaryOf = (m: JobState['asFound']): CouplingSummary | null =>
  m?.coupling ? { coupling: m.coupling, verdict: m.judgement?.verdict ?? 'unknown' } : null

/** What a folded job leaves in its columns. */
export const columnsOf = (state: JobState): JobColumns => ({
  stage: state.current,
  verdict: state.asLeft?.judgement?.verdict ?? 'unknown',
  rounds: state.moves.length,
  asFound: summaryOf(state.asFound),
  asLeft: summaryOf(state.asLeft),
})

interface JobRow {
  readonly id: string
  readonly tag: string
  readonly machine_name: string
  readonly opened_at: Date
  readonly closed_at: Date | null
  readonly updated_at: Date
  readonly author: string
  readonly stage: JobSummary['stage']
  readonly verdict: JobSummary['verdict']
  readonly rounds: number
  readonly as_found: CouplingSummary | null
  readonly as_left: CouplingSummary | null
}

const toSummary = (row: JobRow): JobSummary => ({
  id: row.id,
  tag: row.tag,
  machineName: row.machine_name,
  openedAt: row.opened_at.toISOString(),
  closedAt: row.closed_at?.toISOString() ?? null,
  updatedAt: row.updated_at.toISOString(),
  lastAuthor: row.author,
  stage: row.stage,
  verdict: row.verdict,
  rounds: row.rounds,
  asFound: row.as_found,
  asLeft: row.as_left,
})

const summaries = (knex: Knex) =>
  knex('jobs')
    .join('machines', 'machines.id', 'jobs.machine_id')
    .join('people', 'people.id', 'jobs.last_author')
    .select(
      'jobs.id',
      'machines.tag',
      'machines.name as machine_name',
      'jobs.opened_at',
      'jobs.closed_at',
      'jobs.updated_at',
      'people.name as author',
      'jobs.stage',
      'jobs.verdict',
      'jobs.rounds',
      'jobs.as_found',
      'jobs.as_left',
    )

/** Jobs, newest first: of one machine, or all that are open or closed. */
export const listJobs = async (
  knex: Knex,
  wanted: { readonly machineId?: string; readonly open?: boolean; readonly most?: number },
): Promise<readonly JobSummary[]> => {
  const query = summaries(knex)
    .orderBy('jobs.opened_at', 'desc')
    .limit(wanted.most ?? 200)
  if (wanted.machineId) query.where('jobs.machine_id', wanted.machineId)
  if (wanted.open === true) query.whereNull('jobs.closed_at')
  if (wanted.open === false) query.whereNotNull('jobs.closed_at')
  return ((await query) as unknown as JobRow[]).map(toSummary)
}

/** Machine id to the id of its newest open job. */
export const openJobByMachine = async (knex: Knex): Promise<ReadonlyMap<string, string>> => {
  const rows = (await knex('jobs')
    .distinctOn('machine_id')
    .select('machine_id', 'id')
    .whereNull('closed_at')
    .orderBy([{ column: 'machine_id' }, { column: 'opened_at', order: 'desc' }])) as {
    machine_id: string
    id: string
  }[]
  return new Map(rows.map((r) => [r.machine_id, r.id]))
}

/** Machine id to its last closed job. */
export const lastClosedByMachine = async (knex: Knex): Promise<ReadonlyMap<string, JobSummary>> => {
  const latest = (await summaries(knex)
    .select('jobs.machine_id')
    .distinctOn('jobs.machine_id')
    .whereNotNull('jobs.closed_at')
    .orderBy([
      { column: 'jobs.machine_id' },
      { column: 'jobs.closed_at', order: 'desc' },
    ])) as unknown as (JobRow & { machine_id: string })[]
  return new Map(latest.map((r) => [r.machine_id, toSummary(r)]))
}

/** A job's machine as kept with it; null for an unknown job. `lock` holds the row. */
export const findJob = async (
  knex: Knex,
  id: string,
  lock = false,
): Promise<{ readonly id: string; readonly machine: MachineSnapshot } | null> => {
  const query = knex('jobs').where({ id }).first('id', 'machine')
  return (
    ((await (lock ? query.forUpdate() : query)) as { id: string; machine: MachineSnapshot } | undefined) ??
    null
  )
}

/** Adds a job row; false when the id is taken. */
export const insertJob = async (
  knex: Knex,
  job: {
    readonly id: string
    readonly machine: MachineSnapshot
    readonly openedAt: string
    readonly author: string
  },
): Promise<boolean> => {
  const rows = (await knex('jobs')
    .insert({
      id: job.id,
      machine_id: job.machine.id,
      machine: JSON.stringify(job.machine),
      opened_at: job.openedAt,
      updated_at: job.openedAt,
      last_author: job.author,
      stage: 'make-safe',
      verdict: 'unknown',
      rounds: 0,
      entry_count: 0,
    })
    .onConflict('id')
    .ignore()
    .returning('id')) as unknown[]
  return rows.length > 0
}

/** Writes the derived columns after an entry. */
export const updateJob = async (
  knex: Knex,
  id: string,
  columns: JobColumns,
  entry: {
    readonly receivedAt: string
    readonly author: string
    readonly count: number
    readonly closes: boolean
  },
): Promise<void> => {
  await knex('jobs')
    .where({ id })
    .update({
      stage: columns.stage,
      verdict: columns.verdict,
      rounds: columns.rounds,
      as_found: columns.asFound && JSON.stringify(columns.asFound),
      as_left: columns.asLeft && JSON.stringify(columns.asLeft),
      updated_at: entry.receivedAt,
      last_author: entry.author,
      entry_count: entry.count,
      ...(entry.closes ? { closed_at: entry.receivedAt } : {}),
    })
}
