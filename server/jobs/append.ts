import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { foldJob, objectionTo, type Job } from '../../core/jobs/jobs'
import { figuredFrom } from '../../core/jobs/summary'
import type { LogEntry } from '../../core/logbook/entry'
import { extended } from '../../core/logbook/forward'
import { leaveToWrite } from '../../core/logbook/may'
import type { EntryAnswer } from '../../shared/api/answers'
import { inOrder } from '../../shared/inOrder'
import type { EntryDraft } from '../../shared/logbook/entry'
import { toWire } from '../../shared/logbook/lifts'
import type { Person } from '../../shared/register/works'
import { door, kinds, objections } from '../../shared/wording/en'
import { answerWords } from '../../shared/wording/viewWords'
import { busy } from '../http/databaseFailure'
import { notFound, Refused } from '../http/refusal'
import { knownAfter, knownIn, type Known } from '../search/known'
import { termsOf } from '../search/terms'
import { forecastBelts } from '../comeBack/beltForecasts'
import type { Settled } from './batches'
import { columnsOf, findJob } from './jobs.repository'
import { entryIn, forgetLogbook, keepLogbook, keptLogbook, logbookOf, type Logbook } from './logbooks'
import { tellNews } from './news'
import { forgetPeople, peopleById } from './people'
import { writeEntries, type Written } from './append.repository'
import { rememberInRegister } from './remember'

/** An entry offered to a logbook, and when it came. */
export interface Offered {
  readonly draft: EntryDraft
  readonly received: Date
}

const UNIQUE_VIOLATION = '23505'
/** Times that a batch is judged anew because another process wrote into the same logbook. */
const ATTEMPTS = 4

export const idTaken = () => new Refused(409, 'id-taken', answerWords.entryIdTaken)

/** A row with this key is there already. */
export const isTaken = (failure: unknown): boolean =>
  (failure as { code?: string } | null)?.code === UNIQUE_VIOLATION

/** The same entry sent again. `after` may have moved on meanwhile: a client settles where it belongs by it. */
export const sameEntry = (a: LogEntry, b: LogEntry): boolean => {
  const said = (e: LogEntry) =>
    JSON.stringify([
      e.kind,
      inOrder(e.payload),
      e.author,
      Date.parse(e.madeAt),
      e.supersedes && inOrder(e.supersedes),
      e.part ?? null,
    ])
  return said(a) === said(b)
}

const nobody = (path: string) =>
  new Refused(422, 'bad-input', answerWords.nobody, { issues: [{ path, message: answerWords.nobody }] })

/** Someone who works here; 422 at `path` when nobody does by that id. */
export const personOf = (people: ReadonlyMap<string, Person>, id: string, path: string): Person => {
  const person = people.get(id)
  if (!person) throw nobody(path)
  return person
}

/** Whether whoever an entry names as the second person may write it alone. That they showed their PIN is asked where it comes in. */
const mayStandBy = (
  people: ReadonlyMap<string, Person>,
  { second, author, kind }: Pick<LogEntry, 'author' | 'kind' | 'second'>,
): boolean => {
  const person = second === undefined || second === author ? undefined : people.get(second)
  return person !== undefined && leaveToWrite(person.role, kind) === 'alone'
}

/** Why its writer may not write this entry, whatever its job is like; undefined where they may. */
export const noLeaveFor = (
  people: ReadonlyMap<string, Person>,
  entry: Pick<LogEntry, 'author' | 'kind' | 'second'>,
): Refused | undefined => {
  const person = people.get(entry.author)
  if (!person) return nobody('author')
  const leave = leaveToWrite(person.role, entry.kind)
  if (leave === 'no') return new Refused(403, 'not-allowed', door.notForRole(kinds[entry.kind], person.role))
  return leave === 'with-second' && !mayStandBy(people, entry)
    ? new Refused(403, 'needs-second', door.needsSecond(kinds[entry.kind], person.role))
    : undefined
}

/** Why this entry can't be the next one of its logbook; undefined when it can. */
export const refusalOf = (
  logbook: Logbook,
  people: ReadonlyMap<string, Person>,
  entry: LogEntry,
): Refused | undefined => {
  const noLeave = noLeaveFor(people, entry)
  if (noLeave) return noLeave
  const objection = objectionTo(logbook.machine, logbook.entries, entry)
  if (!objection) return undefined
  const message = objections[objection.code]
  return new Refused(objection.sort === 'conflict' ? 409 : 422, objection.code, message, {
    issues: [{ path: objection.path.join('.'), message }],
  })
}

/** A closing writes into the register as well: what that could not take is said in a remark behind it. */
const remarkOfClosing = async (knex: Knex, logbook: Logbook, closing: LogEntry): Promise<LogEntry | null> => {
  const untold = await rememberInRegister(knex, logbook.machine, foldJob(logbook.machine, logbook.entries))
  return untold === null
    ? null
    : {
        ...closing,
        id: randomUUID(),
        after: closing.id,
        before: null,
        supersedes: null,
        kind: 'remark',
        payload: { text: untold },
      }
}

interface Judged {
  readonly results: readonly Settled<EntryAnswer>[]
  readonly before: Logbook
  readonly after: Logbook
  readonly news: readonly LogEntry[]
}

/** What a logbook as it stands makes of each offered entry in turn; nothing is written. */
const judgeAll = async (
  knex: Knex,
  jobId: string,
  before: Logbook,
  people: ReadonlyMap<string, Person>,
  offered: readonly Offered[],
): Promise<Judged> => {
  let logbook = before
  const news: LogEntry[] = []
  const take = (entry: LogEntry) => {
    logbook = { machine: logbook.machine, entries: extended(logbook.entries, entry) }
    news.push(entry)
  }
  const results: Settled<EntryAnswer>[] = []
  for (const { draft, received } of offered) {
    const entry: LogEntry = { ...draft, receivedAt: received.toISOString() }
    const known = entryIn(jobId, before, entry.id) ?? news.find((e) => e.id === entry.id)
    if (known) {
      results.push(
        sameEntry(known, entry) ? { done: { entry: toWire(known), added: false } } : { failed: idTaken() },
      )
      continue
    }
    const refusal = refusalOf(logbook, people, entry)
    if (refusal) {
      results.push({ failed: refusal })
      continue
    }
    take(entry)
    if (entry.kind === 'job-closed') {
      const remark = await remarkOfClosing(knex, logbook, entry)
      if (remark) take(remark)
    }
    results.push({ done: { entry: toWire(entry), added: true } })
  }
  return { results, before, after: logbook, news }
}

/** A job's logbook: from memory, else as the database has it; 404 for an unknown job. */
const currentLogbook = async (knex: Knex, jobId: string, fresh: boolean): Promise<Logbook> => {
  const kept = fresh ? null : keptLogbook(jobId)
  if (kept) return kept
  const head = await findJob(knex, jobId)
  if (!head) throw notFound(answerWords.noJob)
  return logbookOf(knex, head)
}

/** What logbooks tell and jobs are found by as they were written last: the next entry is held against it. */
const foundKept = new WeakMap<readonly LogEntry[], { readonly known: Known; readonly terms: string }>()

/** What a job is found by, where its news say something new of that. */
const foundAnew = (
  before: Logbook,
  after: Logbook,
  job: Job,
  news: readonly LogEntry[],
): Written['found'] => {
  const { machine, entries } = after
  const isNew = before.entries.length === 0
  const kept = foundKept.get(before.entries)
  const was = kept?.known ?? knownIn(machine, before.entries)
  const known = knownAfter(was, entries, news)
  const terms = termsOf(machine, job, known)
  foundKept.set(entries, { known, terms: terms.join() })
  const seen = isNew ? 0 : was.words.size
  const words = known.words.size === seen ? [] : [...known.words].slice(seen)
  // What nobody kept may be new to the database as well.
  if (!isNew && words.length === 0 && kept?.terms === terms.join()) return null
  return { words: words.join(' '), terms, openedAt: entries[0]?.receivedAt ?? new Date().toISOString() }
}

/** What was judged, as it is written: the entries, and the columns where they say something new. */
const asWritten = (
  jobId: string,
  judged: Judged,
  people: ReadonlyMap<string, Person>,
  logbook: Logbook,
): Written => {
  const was = figuredFrom(foldJob(logbook.machine, judged.before.entries))
  const job = foldJob(logbook.machine, logbook.entries)
  const now = figuredFrom(job)
  const columns = columnsOf(job)
  const closing = judged.news.find((e) => e.kind === 'job-closed')
  return {
    jobId,
    machineId: logbook.machine.id,
    known: judged.before.entries.length,
    news: judged.news,
    columns,
    found: foundAnew(judged.before, logbook, job, judged.news),
    figuresChanged: now.length !== was.length || now.some((x, i) => x !== was[i]),
    closedAt: closing?.receivedAt ?? null,
    writers: [...new Set(judged.news.map((e) => e.author))].map((id) => ({
      id,
      role: people.get(id)?.role ?? '',
    })),
  }
}

/**
 * The one way into a logbook: judges the entries against it in memory, then writes those it takes and the
 * derived columns in one statement, which holds only if nobody else wrote meanwhile; else it is read again
 * and judged anew. Answers each entry by itself. The caller settles what a transaction of its own kept
 * (`settle`), so that nothing is told before it stands.
 */
export const appendAll = async (
  knex: Knex,
  jobId: string,
  offered: readonly Offered[],
): Promise<{ readonly results: readonly Settled<EntryAnswer>[]; readonly settle: () => void }> => {
  for (let attempt = 0; attempt < ATTEMPTS; attempt++) {
    const before = await currentLogbook(knex, jobId, attempt > 0)
    const people = await peopleById(knex)
    const judged = await judgeAll(knex, jobId, before, people, offered)
    const settle = () => {
      keepLogbook(jobId, judged.after)
      if (judged.news.length > 0) tellNews(jobId, before.entries.length, judged.news)
    }
    if (judged.news.length === 0) {
      // From memory an entry may look wrong that another process' entry makes right: only the database can say no.
      if (attempt === 0 && judged.results.some((r) => 'failed' in r)) {
        forgetPeople()
        continue
      }
      return { results: judged.results, settle }
    }
    if (await writeEntries(knex, asWritten(jobId, judged, people, judged.after))) {
      if (judged.news.some((e) => e.kind === 'job-closed')) await forecastBelts(knex, judged.after.machine)
      return { results: judged.results, settle }
    }
    forgetLogbook(jobId)
    forgetPeople()
  }
  throw busy()
}

/** Entries that came for one job while it was busy, written together; each fails by itself. */
export const appendBatch = async (
  knex: Knex,
  jobId: string,
  offered: readonly Offered[],
): Promise<readonly Settled<EntryAnswer>[]> => {
  const closes = offered.some(({ draft }) => draft.kind === 'job-closed')
  try {
    // A closing writes into the register too: both or neither.
    const { results, settle } = closes
      ? await knex.transaction((trx) => appendAll(trx, jobId, offered))
      : await appendAll(knex, jobId, offered)
    settle()
    return results
  } catch (failure) {
    if (closes) forgetLogbook(jobId)
    if (!isTaken(failure)) throw failure
    // An id that stands in another job: found out by writing. Which of several it was, each by itself tells.
    if (offered.length === 1) return [{ failed: idTaken() }]
    const one: Settled<EntryAnswer>[] = []
    for (const single of offered) one.push(...(await appendBatch(knex, jobId, [single])))
    return one
  }
}
