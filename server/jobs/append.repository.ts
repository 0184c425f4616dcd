import type { Knex } from 'knex'
import type pg from 'pg'
import type { LogEntry } from '../../core/logbook/entry'
import { FOLD_VERSION } from '../../core/stages/close/closing'
import { versionOf } from '../../shared/logbook/lifts'
import type { JobColumns } from './jobs.repository'

/** Entries of one job, judged and ready, with what rests on them. */
export interface Written {
  readonly jobId: string
  readonly machineId: string
  /** How many entries the logbook had when they were judged. */
  readonly known: number
  readonly news: readonly LogEntry[]
  readonly columns: JobColumns
  readonly figuresChanged: boolean
  /** What the job is found by from now on; null where nothing of that is new. */
  readonly found: {
    /** Words that are new, plain. */
    readonly words: string
    readonly terms: readonly string[]
    readonly openedAt: string
  } | null
  readonly closedAt: string | null
  /** Who wrote them, in the role they were judged by. */
  readonly writers: readonly { readonly id: string; readonly role: string }[]
}

const rowOf = (entry: LogEntry, seq: number) => ({
  id: entry.id,
  seq,
  kind: entry.kind,
  version: versionOf(entry.kind),
  payload: entry.payload,
  author: entry.author,
  made_at: entry.madeAt,
  received_at: entry.receivedAt,
  after_entry: entry.after,
  before_entry: entry.before,
  supersedes: entry.supersedes?.entry ?? null,
  supersede_reason: entry.supersedes?.reason ?? null,
  part: entry.part ?? null,
  second: entry.second ?? null,
})

const UPDATE = `
    update jobs set kind = ?, stage = ?, verdict = ?, summary = ?::jsonb, fold_version = ?, provisional = ?,
      next_due = ?::timestamptz, updated_at = ?,
      last_author = ?, entry_count = ?, closed_at = coalesce(?::timestamptz, closed_at)
    where id = ? and entry_count = ?`

const ONE_HEAD = `
  with head as (${UPDATE}
      and exists (select 1 from people where id = ? and role = ?)
    returning id
  )`
const ONE_ENTRY = `
  insert into entries (id, job_id, seq, kind, version, payload, author, made_at, received_at, after_entry,
    before_entry, supersedes, supersede_reason, part, second)
  select ?::uuid, id, ?::int, ?::text, ?::int, ?::jsonb, ?::uuid, ?::timestamptz, ?::timestamptz, ?::uuid,
    ?::uuid, ?::uuid, ?::text, ?::text, ?::uuid from head`

const HEAD = `
  with head as (${UPDATE} and not exists (
      select 1 from jsonb_to_recordset(?::jsonb) as w(id uuid, role text)
      left join people p on p.id = w.id and p.role = w.role where p.id is null)
    returning id
  ), added as (
    insert into entries (id, job_id, seq, kind, version, payload, author, made_at, received_at, after_entry,
      before_entry, supersedes, supersede_reason, part, second)
    select e.id, head.id, e.seq, e.kind, e.version, e.payload, e.author, e.made_at, e.received_at,
      e.after_entry, e.before_entry, e.supersedes, e.supersede_reason, e.part, e.second
    from head, jsonb_to_recordset(?::jsonb) as e(id uuid, seq int, kind text, version int, payload jsonb,
      author uuid, made_at timestamptz, received_at timestamptz, after_entry uuid, before_entry uuid,
      supersedes uuid, supersede_reason text, part text, second uuid)
  )`

const FIGURES = `, figures as (
    select f.* from head, jsonb_to_recordset(?::jsonb) as f(moment text, name text, value double precision,
      aim double precision, low double precision, high double precision, verdict text)
  ), gone as (
    delete from job_figures where job_id in (select id from head)
      and (moment, name) not in (select moment, name from figures)
  ), kept as (
    insert into job_figures (job_id, machine_id, at, moment, name, value, aim, low, high, verdict)
    select ?::uuid, ?::uuid, ?::timestamptz, moment, name, value, aim, low, high, verdict
      from figures
    on conflict (job_id, moment, name) do update set at = excluded.at, value = excluded.value,
      aim = excluded.aim, low = excluded.low, high = excluded.high, verdict = excluded.verdict
  )`

/** Words are added to those that are there; a row that would stay as it is stays unwritten, and so do its indexes. */
const FOUND = `, found as (
    insert into job_search (job_id, opened_at, words, terms)
    select head.id, ?::timestamptz, strip(to_tsvector('simple', ?::text)), ?::text[] from head
    on conflict (job_id) do update set
      words = strip(job_search.words || excluded.words), terms = excluded.terms
      where job_search.terms <> excluded.terms
        or strip(job_search.words || excluded.words) <> job_search.words
  )`

/** A statement, placeholders numbered as the driver wants them. */
const numbered = (sql: string): string => {
  let n = 0
  return sql.replaceAll('?', () => `$${++n}`)
}
const statement = (...parts: readonly string[]) => {
  const sql = parts.join('')
  return { sql, named: numbered(sql) }
}
const DONE = ' select id from head'
/** By what they write: one entry, which is nearly every time, or several; figures; what the job is found by. */
const STATEMENTS = {
  one: statement(ONE_HEAD, ONE_ENTRY, ' returning id'),
  'one-found': statement(ONE_HEAD, `, added as (${ONE_ENTRY})`, FOUND, DONE),
  plain: statement(HEAD, DONE),
  'plain-found': statement(HEAD, FOUND, DONE),
  figures: statement(HEAD, FIGURES, DONE),
  'figures-found': statement(HEAD, FIGURES, FOUND, DONE),
}

/**
 * Runs the statement under a name where the connection is ours to take: PostgreSQL plans it once a
 * connection and not once an entry. Within a transaction it runs as it is.
 */
const execute = async (
  knex: Knex,
  what: 'one' | 'plain' | 'figures',
  found: Written['found'],
  own: readonly unknown[],
): Promise<readonly unknown[]> => {
  const name = found ? (`${what}-found` as const) : what
  const values = found ? [...own, found.openedAt, found.words, found.terms] : own
  const { sql, named } = STATEMENTS[name]
  if (knex.isTransaction)
    return ((await knex.raw(sql, values as Knex.RawBinding[])) as { rows: unknown[] }).rows
  const client = knex.client as Knex.Client
  const connection = (await client.acquireConnection()) as pg.Client
  try {
    const answer = await connection.query({ name: `append-${name}`, text: named, values: [...values] })
    return answer.rows
  } finally {
    await client.releaseConnection(connection)
  }
}

/**
 * Writes entries and the columns derived from them in one statement and one round trip. False when the
 * logbook has another length than they were judged by, or a writer another role: nothing is written then.
 */
export const writeEntries = async (knex: Knex, w: Written): Promise<boolean> => {
  const last = w.news[w.news.length - 1] as LogEntry
  const row = [
    w.columns.kind,
    w.columns.stage,
    w.columns.verdict,
    JSON.stringify(w.columns.summary),
    FOLD_VERSION,
    w.columns.provisional,
    w.columns.nextDue,
    last.receivedAt,
    last.author,
    w.known + w.news.length,
    w.closedAt,
    w.jobId,
    w.known,
  ]
  const rows = w.news.map((entry, i) => rowOf(entry, w.known + i + 1))
  const [one] = rows
  const [writer] = w.writers
  if (rows.length === 1 && one && writer && !w.figuresChanged) {
    const values = Object.values({ ...one, payload: JSON.stringify(one.payload) })
    return (await execute(knex, 'one', w.found, [...row, writer.id, writer.role, ...values])).length > 0
  }
  const several = [...row, JSON.stringify(w.writers), JSON.stringify(rows)]
  const figures = [JSON.stringify(w.columns.figures), w.jobId, w.machineId, last.receivedAt]
  const written = w.figuresChanged
    ? await execute(knex, 'figures', w.found, [...several, ...figures])
    : await execute(knex, 'plain', w.found, several)
  return written.length > 0
}
