import { randomUUID } from 'node:crypto'
import { isDeepStrictEqual } from 'node:util'
import type { Knex } from 'knex'
import { foldJob, objectionTo, type Job } from '../../core/jobs/jobs'
import type { LogEntry } from '../../core/logbook/entry'
import { MAY } from '../../core/logbook/may'
import { fromCore } from '../../core/units/unitSystem'
import type { EntryAnswer, JobAnswer, Page, JobSummary, TodayAnswer } from '../../shared/api/answers'
import type { EntryDraft } from '../../shared/logbook/entry'
import { toWire } from '../../shared/logbook/lifts'
import { MACHINE_SCHEMA } from '../../shared/register/lifts'
import { machineFields, type MachineSnapshot } from '../../shared/register/machine'
import { en } from '../../shared/wording/en'
import { pack, UNIT_NAMES } from '../../shared/wording/figures'
import { notFound, Refused } from '../http/refusal'
import { findMachine, updateMachine } from '../machines/machines.repository'
import { findPerson, findWorks } from '../works/works.repository'
import { findEntry, insertEntry, lastSetUp } from './entries.repository'
import {
  columnsOf,
  findJob,
  insertJob,
  jobClosedBefore,
  lastClosedByMachine,
  listJobs,
  updateProjections,
  type JobHead,
} from './jobs.repository'
import { keepLogbook, logbookOf, type Logbook } from './logbooks'
import { tellViewers } from './viewers'

const UNIQUE_VIOLATION = '23505'
const idTaken = () => new Refused(409, 'id-taken', en.answers.entryIdTaken)

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i

const requireJob = async (knex: Knex, id: string, lock = false): Promise<JobHead> => {
  const job = UUID.test(id) ? await findJob(knex, id, lock) : null
  if (!job) throw notFound(en.answers.noJob)
  return job
}

/** The same entry sent again. `after` may have moved on meanwhile: a client settles where it belongs by it. */
const sameEntry = (a: LogEntry, b: LogEntry): boolean =>
  isDeepStrictEqual(
    [a.kind, a.payload, a.author, Date.parse(a.madeAt), a.supersedes],
    [b.kind, b.payload, b.author, Date.parse(b.madeAt), b.supersedes],
  )

/** A job with its logbook; 404 when there is none. */
export const readJob = async (
  knex: Knex,
  id: string,
): Promise<Logbook & { readonly id: string; readonly head: JobHead }> => {
  const head = await requireJob(knex, id)
  const logbook = await logbookOf(knex, head)
  keepLogbook(id, logbook)
  return { id: head.id, head, ...logbook }
}

/** A job as a client opens it: with the set-up of this machine's job before it. */
export const answerJob = async (knex: Knex, id: string): Promise<JobAnswer> => {
  const { head, machine, entries } = await readJob(knex, id)
  const before = await jobClosedBefore(knex, head.machineId, head.openedAt)
  const setUp = before && (await lastSetUp(knex, before.id))
  return {
    id: head.id,
    machineSchema: MACHINE_SCHEMA,
    machine,
    entries: entries.map(toWire),
    previous: before && setUp ? { closedAt: before.closedAt, setUp: setUp.payload } : null,
  }
}

/**
 * The shims a closed job left under the feet become the register's. Answers what could not be
 * written, in words, when the register has changed under the job; null when all was.
 */
const rememberPacks = async (knex: Knex, machine: MachineSnapshot, job: Job): Promise<string | null> => {
  if (job.kind !== 'coupled') return null
  const current = await findMachine(knex, machine.tag, true)
  if (!current || current.id !== machine.id || current.drive !== 'coupled')
    return en.answers.machineGone(machine.tag)
  const { id, version, ...record } = current
  const inOwn = (t: number) => Number(fromCore(t, 'displacement', record.units).toPrecision(12))
  const lost = job.state.packs.filter(
    (p) =>
      !record.feet[p.machine].some((f) => f.id === p.id) && p.packs.left.length + p.packs.right.length > 0,
  )
  const withPacks = (role: 'movable' | 'stationary') =>
    record.feet[role].map((foot) => {
      const left = job.state.packs.find((p) => p.machine === role && p.id === foot.id)?.packs
      return left ? { ...foot, existing: { left: left.left.map(inOwn), right: left.right.map(inOwn) } } : foot
    })
  const changed = machineFields.safeParse({
    ...record,
    feet: { movable: withPacks('movable'), stationary: withPacks('stationary') },
  })
  if (changed.success) await updateMachine(knex, id, version, changed.data)
  const untold = changed.success ? lost : job.state.packs
  if (untold.length === 0) return null
  const units = machine.units
  const list = untold.map((p) =>
    en.answers.packsLeft(p.id, pack(p.packs.left, units), pack(p.packs.right, units)),
  )
  return en.answers.packsNotWritten(UNIT_NAMES[units].displacement, list.join('; '))
}

const personOf = async (trx: Knex, id: string, path: string) => {
  const person = await findPerson(trx, id)
  if (!person)
    throw new Refused(422, 'bad-input', en.answers.nobody, {
      issues: [{ path, message: en.answers.nobody }],
    })
  return person
}

interface Appended extends EntryAnswer {
  /** The logbook after it, to be kept once the transaction stands; null when nothing was added. */
  readonly logbook: Logbook | null
  /** Everything that was added, in order. */
  readonly news: readonly LogEntry[]
}

/** The one way into a logbook: check, append, derive the columns; all in the caller's transaction. */
const append = async (trx: Knex, jobId: string, draft: EntryDraft, received: Date): Promise<Appended> => {
  const entry: LogEntry = { ...draft, receivedAt: received.toISOString() }
  const head = await requireJob(trx, jobId, true)
  const known = await findEntry(trx, entry.id)
  if (known) {
    if (known.jobId === jobId && sameEntry(known.entry, entry))
      return { entry: toWire(known.entry), added: false, logbook: null, news: [] }
    throw idTaken()
  }
  const person = await personOf(trx, entry.author, 'author')
  if (!MAY[person.role].includes(entry.kind))
    throw new Refused(403, 'not-allowed', en.answers.notForRole(en.kinds[entry.kind], person.role))
  const before = await logbookOf(trx, head)
  const objection = objectionTo(before.machine, before.entries, entry)
  if (objection) {
    const message = en.objections[objection.code]
    throw new Refused(objection.sort === 'conflict' ? 409 : 422, objection.code, message, {
      issues: [{ path: objection.path.join('.'), message }],
    })
  }
  await insertEntry(trx, jobId, before.entries.length + 1, entry)
  const news = [entry]
  if (entry.kind === 'job-closed') {
    const untold = await rememberPacks(
      trx,
      before.machine,
      foldJob(before.machine, [...before.entries, entry]),
    )
    if (untold) {
      const remark: LogEntry = {
        ...entry,
        id: randomUUID(),
        after: entry.id,
        supersedes: null,
        kind: 'remark',
        payload: { text: untold },
      }
      await insertEntry(trx, jobId, before.entries.length + 2, remark)
      news.push(remark)
    }
  }
  const entries = [...before.entries, ...news]
  await updateProjections(
    trx,
    head,
    columnsOf(foldJob(before.machine, entries)),
    entry.receivedAt as string,
    {
      updated_at: entry.receivedAt,
      last_author: entry.author,
      entry_count: entries.length,
      ...(entry.kind === 'job-closed' ? { closed_at: entry.receivedAt } : {}),
    },
  )
  return { entry: toWire(entry), added: true, logbook: { machine: before.machine, entries }, news }
}

/** Keeps and tells what a committed transaction added. */
const settle = (jobId: string, appended: Appended): EntryAnswer => {
  if (appended.logbook) keepLogbook(jobId, appended.logbook)
  for (const entry of appended.news) tellViewers(jobId, toWire(entry))
  return { entry: appended.entry, added: appended.added }
}

const asTaken = (failure: unknown): never => {
  // Two jobs were offered the same id at once: the job's own lock can't see that.
  if ((failure as { code?: string }).code === UNIQUE_VIOLATION) throw idTaken()
  throw failure
}

/** Adds an entry to a job; posting the same one twice adds it once. `received` is now, but for the demo seed. */
export const addEntry = async (
  knex: Knex,
  jobId: string,
  draft: EntryDraft,
  received = new Date(),
): Promise<EntryAnswer> =>
  settle(jobId, await knex.transaction((trx) => append(trx, jobId, draft, received)).catch(asTaken))

/** A machine as a job keeps it from its opening on. */
const snapshotOf = async (trx: Knex, tag: string): Promise<MachineSnapshot> => {
  const machine = await findMachine(trx, tag)
  if (!machine) throw notFound(en.answers.noTag(tag))
  const works = await findWorks(trx)
  return {
    ...machine,
    stock: works.stock
      .filter((s) => s.units === machine.units)
      .map(({ thickness, count }) => ({ thickness, count })),
    packLimit: works.packLimit,
  }
}

/** Opens a job on a machine with its first entry, both or neither. */
export const openJob = async (
  knex: Knex,
  opening: { readonly id: string; readonly machine: string; readonly opening: EntryDraft },
  received = new Date(),
): Promise<EntryAnswer> => {
  if (opening.opening.kind !== 'job-opened')
    throw new Refused(422, 'bad-input', en.answers.beginsWithOpening, {
      issues: [{ path: 'opening.kind', message: en.answers.beginsWithOpening }],
    })
  const appended = await knex
    .transaction(async (trx) => {
      const machine = await snapshotOf(trx, opening.machine)
      await personOf(trx, opening.opening.author, 'opening.author')
      const added = await insertJob(trx, {
        id: opening.id,
        machine,
        openedAt: received.toISOString(),
        author: opening.opening.author,
        columns: columnsOf(foldJob(machine, [])),
      })
      if (!added && (await findJob(trx, opening.id))?.machineId !== machine.id)
        throw new Refused(409, 'id-taken', en.answers.jobIdTakenOpenAgain, {
          issues: [{ path: 'id', message: en.answers.jobIdTaken }],
        })
      return append(trx, opening.id, opening.opening, received)
    })
    .catch(asTaken)
  return settle(opening.id, appended)
}

/** A page of jobs: of one machine, open or closed, or all. */
export const pageOfJobs = async (
  knex: Knex,
  wanted: {
    readonly machine?: string
    readonly open?: 'yes' | 'no'
    readonly after?: string
    readonly most: number
  },
): Promise<Page<JobSummary>> => {
  const machine = wanted.machine ? await findMachine(knex, wanted.machine) : null
  if (wanted.machine && !machine) throw notFound(en.answers.noTag(wanted.machine))
  return listJobs(knex, {
    machineId: machine?.id,
    open: wanted.open === undefined ? undefined : wanted.open === 'yes',
    after: wanted.after,
    most: wanted.most,
  })
}

const MOST_OPEN = 200

/** What needs a wrench today. */
export const today = async (knex: Knex): Promise<TodayAnswer> => {
  const [open, closed, last] = await Promise.all([
    listJobs(knex, { open: true, most: MOST_OPEN }),
    listJobs(knex, { open: false, most: 6 }),
    lastClosedByMachine(knex),
  ])
  return {
    open: open.rows,
    outOfBand: [...last.values()]
      .filter((j) => j.verdict !== 'in')
      .sort((a, b) => a.tag.localeCompare(b.tag)),
    recentlyClosed: closed.rows,
  }
}

/** Rewrites the derived columns and figures of one job from its logbook. */
export const refoldJob = async (knex: Knex, id: string): Promise<void> => {
  await knex.transaction(async (trx) => {
    const head = await requireJob(trx, id, true)
    const { machine, entries } = await logbookOf(trx, head)
    const at = entries[entries.length - 1]?.receivedAt ?? head.openedAt.toISOString()
    await updateProjections(trx, head, columnsOf(foldJob(machine, entries)), at)
  })
}
