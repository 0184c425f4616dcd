import type { Knex } from 'knex'
import type { Misalignment } from '../../core/frame/planes'
import type { Settings } from '../../core/register/setSheaves'
import type { MoveTime } from '../../core/history/pace'
import { figuresOf, summaryOf, type JobFigure, type JobSummaryFigures } from '../../core/jobs/summary'
import type { SheaveReset } from '../../core/register/settings'
import type { Job, JobKind } from '../../core/jobs/jobs'
import { FOLD_VERSION } from '../../core/stages/close/closing'
import type { JobSummary, Page } from '../../shared/api/answers'
import { MACHINE_SCHEMA } from '../../shared/register/lifts'
import { readSnapshot, type MachineSnapshot } from '../../shared/register/machine'
import { cursorOf, readCursor } from '../http/cursor'

/** The columns derived from a logbook, as lists and search need them. */
export interface JobColumns {
  readonly kind: JobKind
  readonly stage: string
  readonly verdict: string
  readonly summary: JobSummaryFigures
  readonly figures: readonly JobFigure[]
  /** Closed, with a cold target that no hot check has borne out. */
  readonly provisional: boolean
  /** YYYY-MM-DD. */
  readonly nextDue: string | null
}

/** Closed with a cold target that no hot check has borne out, at its coupling or at one of them. */
const isProvisional = (job: Job): boolean => {
  if (job.state.closing === null) return false
  if (job.kind === 'train') return job.state.couplings.some((c) => c.state.expected !== null)
  return job.kind === 'coupled' && job.state.expected !== null
}

/** What a folded job leaves in its columns; a closed one keeps the verdict that was signed. */
export const columnsOf = (job: Job): JobColumns => ({
  kind: job.kind,
  stage: job.sheet.current,
  verdict: job.state.closing?.payload.signed?.verdict ?? job.state.outcome.verdict,
  summary: summaryOf(job),
  figures: figuresOf(job),
  provisional: isProvisional(job),
  nextDue: job.state.closing?.payload.due?.on ?? null,
})

interface JobRow {
  readonly id: string
  readonly tag: string
  readonly machine_name: string
  readonly opened_at: Date
  readonly closed_at: Date | null
  readonly updated_at: Date
  readonly author: string
  readonly author_id: string
  readonly stage: JobSummary['stage']
  readonly verdict: JobSummary['verdict']
  readonly provisional: boolean
  readonly next_due: Date | null
  readonly summary: JobSummaryFigures
}

const toSummary = (row: JobRow): JobSummary => ({
  id: row.id,
  tag: row.tag,
  machineName: row.machine_name,
  openedAt: row.opened_at.toISOString(),
  closedAt: row.closed_at?.toISOString() ?? null,
  updatedAt: row.updated_at.toISOString(),
  lastAuthor: row.author,
  lastAuthorId: row.author_id,
  stage: row.stage,
  verdict: row.verdict,
  provisional: row.provisional,
  nextDue: row.next_due?.toISOString() ?? null,
  summary: row.summary,
})

const SUMMARY_COLUMNS = [
  'jobs.id',
  'machines.tag',
  'machines.name as machine_name',
  'jobs.opened_at',
  'jobs.closed_at',
  'jobs.updated_at',
  'people.name as author',
  'jobs.last_author as author_id',
  'jobs.stage',
  'jobs.verdict',
  'jobs.provisional',
  'jobs.next_due',
  'jobs.summary',
]

const summaries = (knex: Knex) =>
  knex('jobs')
    .join('machines', 'machines.id', 'jobs.machine_id')
    .join('people', 'people.id', 'jobs.last_author')
    .select(SUMMARY_COLUMNS)

/** These jobs as lists show them, in the order of their ids here. */
export const jobsByIds = async (knex: Knex, ids: readonly string[]): Promise<readonly JobSummary[]> => {
  const rows = (await summaries(knex).whereIn('jobs.id', ids)) as unknown as JobRow[]
  const byId = new Map(rows.map((r) => [r.id, toSummary(r)]))
  return ids.flatMap((id) => byId.get(id) ?? [])
}

interface Wanted {
  readonly machineId?: string
  readonly open?: boolean
  readonly most: number
  /** Where the page before ended. */
  readonly after?: string
}

/** A page of jobs, newest first; closed ones by their closing, others by their opening. */
export const listJobs = async (knex: Knex, wanted: Wanted): Promise<Page<JobSummary>> => {
  const by = wanted.open === false ? 'closed_at' : 'opened_at'
  const query = summaries(knex)
    .orderBy([
      { column: `jobs.${by}`, order: 'desc' },
      { column: 'jobs.id', order: 'desc' },
    ])
    .limit(wanted.most + 1)
  if (wanted.machineId) query.where('jobs.machine_id', wanted.machineId)
  if (wanted.open === true) query.whereNull('jobs.closed_at')
  if (wanted.open === false) query.whereNotNull('jobs.closed_at')
  if (wanted.after) {
    const { at, id } = readCursor(wanted.after)
    query.whereRaw(`(jobs.${by}, jobs.id) < (?, ?)`, [at, id])
  }
  const rows = ((await query) as unknown as JobRow[]).map(toSummary)
  const page = rows.slice(0, wanted.most)
  const last = page[page.length - 1]
  return {
    rows: page,
    next:
      rows.length > wanted.most && last
        ? cursorOf(last.closedAt && by === 'closed_at' ? last.closedAt : last.openedAt, last.id)
        : null,
  }
}

/** Closed jobs whose moves tell how long a move takes here now. */
const JOBS_OF_PACE = 40

/** What the moves of the last closed jobs took. */
export const timesOfLastMoves = async (knex: Knex): Promise<readonly MoveTime[]> => {
  const rows = (await knex('jobs')
    .whereNotNull('closed_at')
    .orderBy('closed_at', 'desc')
    .limit(JOBS_OF_PACE)
    .select(knex.raw(`summary->'moveTimes' as times`))) as { times: readonly MoveTime[] | null }[]
  return rows.flatMap((r) => r.times ?? [])
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

/** Machine id to the open job that found one of its sheaves set otherwise. */
export const openResets = async (
  knex: Knex,
): Promise<ReadonlyMap<string, { readonly job: string; readonly reset: SheaveReset }>> => {
  const rows = (await knex('jobs')
    .whereNull('closed_at')
    .whereRaw(`summary->'reset' is not null`)
    .orderBy('opened_at')
    .select('id', 'machine_id', knex.raw(`summary->'reset' as reset`))) as {
    id: string
    machine_id: string
    reset: SheaveReset
  }[]
  return new Map(rows.map((r) => [r.machine_id, { job: r.id, reset: r.reset }]))
}

/** Machine id to its last closed job: one look into the index a machine. */
export const lastClosedByMachine = async (knex: Knex): Promise<ReadonlyMap<string, JobSummary>> => {
  const { rows } = (await knex.raw(`
    select m.id as machine_id, last.id from machines m
    join lateral (
      select id from jobs where machine_id = m.id and closed_at is not null order by closed_at desc limit 1
    ) last on true
  `)) as { rows: { machine_id: string; id: string }[] }
  const found = (await summaries(knex).whereIn(
    'jobs.id',
    rows.map((r) => r.id),
  )) as unknown as JobRow[]
  const byJob = new Map(found.map((r) => [r.id, toSummary(r)]))
  return new Map(
    rows.flatMap((r) => {
      const job = byJob.get(r.id)
      return job ? [[r.machine_id, job]] : []
    }),
  )
}

/** The last job closed on a machine before a moment, by its id; null when there is none. */
export const jobClosedBefore = async (
  knex: Knex,
  machineId: string,
  before: Date,
): Promise<{
  readonly id: string
  readonly closedAt: string
  /** Where it left a coupled machine. */
  readonly left: Misalignment | null
  /** How far the sheaves of a belt drive stood open; null for another machine. */
  readonly settings: Settings | null
} | null> => {
  const row = (await knex('jobs')
    .where({ machine_id: machineId })
    .where('closed_at', '<', before)
    .orderBy('closed_at', 'desc')
    .first('id', 'closed_at', 'summary')) as
    { id: string; closed_at: Date; summary: JobSummaryFigures } | undefined
  if (!row) return null
  const { summary } = row
  const left = summary.kind === 'coupled' ? (summary.asLeft?.coupling ?? null) : null
  const settings = summary.kind === 'belt' ? (summary.settings ?? {}) : null
  return { id: row.id, closedAt: row.closed_at.toISOString(), left, settings }
}

/** What a job's row says besides its columns for lists. */
export interface JobHead {
  readonly id: string
  readonly machineId: string
  readonly openedAt: Date
  readonly entryCount: number
  /** Reads the snapshot of the machine, lifted to today's schema. */
  readonly machine: () => MachineSnapshot
}

/** A job's row; null for an unknown job. `lock` holds it. */
export const findJob = async (knex: Knex, id: string, lock = false): Promise<JobHead | null> => {
  const query = knex('jobs')
    .where({ id })
    .first('id', 'machine_id', 'machine', 'machine_schema', 'opened_at', 'entry_count')
  const row = (await (lock ? query.forUpdate() : query)) as
    | {
        id: string
        machine_id: string
        machine: unknown
        machine_schema: number
        opened_at: Date
        entry_count: number
      }
    | undefined
  return row
    ? {
        id: row.id,
        machineId: row.machine_id,
        openedAt: row.opened_at,
        entryCount: row.entry_count,
        machine: () => readSnapshot(row.machine_schema, row.machine),
      }
    : null
}

/** Ids of all jobs, a batch at a time, in the order of their ids. */
export const jobIdsAfter = async (
  knex: Knex,
  after: string | null,
  most: number,
): Promise<readonly string[]> => {
  const query = knex('jobs').select('id').orderBy('id').limit(most)
  if (after) query.where('id', '>', after)
  return ((await query) as { id: string }[]).map((r) => r.id)
}

/** Adds a job row; false when the id is taken. */
export const insertJob = async (
  knex: Knex,
  job: {
    readonly id: string
    readonly machine: MachineSnapshot
    readonly openedAt: string
    readonly author: string
    readonly columns: JobColumns
  },
): Promise<boolean> => {
  const rows = (await knex('jobs')
    .insert({
      id: job.id,
      machine_id: job.machine.id,
      machine: JSON.stringify(job.machine),
      machine_schema: MACHINE_SCHEMA,
      opened_at: job.openedAt,
      updated_at: job.openedAt,
      last_author: job.author,
      entry_count: 0,
      ...projected(job.columns),
    })
    .onConflict('id')
    .ignore()
    .returning('id')) as unknown[]
  return rows.length > 0
}

/** The judged figures of these jobs, as found before as left. */
export const figuresOfJobs = async (
  knex: Knex,
  ids: readonly string[],
): Promise<ReadonlyMap<string, readonly JobFigure[]>> => {
  const rows = (await knex('job_figures')
    .whereIn('job_id', ids)
    .orderBy(['moment', 'name'])
    .select('job_id', 'moment', 'name', 'value', 'aim', 'low', 'high', 'verdict')) as (JobFigure & {
    job_id: string
  })[]
  const byJob = new Map<string, JobFigure[]>()
  for (const { job_id: job, ...figure } of rows) byJob.set(job, [...(byJob.get(job) ?? []), figure])
  return byJob
}

const projected = (columns: JobColumns) => ({
  kind: columns.kind,
  stage: columns.stage,
  verdict: columns.verdict,
  summary: JSON.stringify(columns.summary),
  fold_version: FOLD_VERSION,
  provisional: columns.provisional,
  next_due: columns.nextDue,
})

/** Writes the derived columns and figures of a job. */
export const updateProjections = async (
  knex: Knex,
  job: Pick<JobHead, 'id' | 'machineId'>,
  columns: JobColumns,
  at: string,
  more: Readonly<Record<string, unknown>> = {},
): Promise<void> => {
  await knex('jobs')
    .where({ id: job.id })
    .update({ ...projected(columns), ...more })
  await knex('job_figures').where({ job_id: job.id }).delete()
  if (columns.figures.length > 0)
    await knex('job_figures').insert(
      columns.figures.map((f) => ({ job_id: job.id, machine_id: job.machineId, at, ...f })),
    )
}
