import { isDeepStrictEqual } from 'node:util'
import type { Knex } from 'knex'
import { objectionTo } from '../../core/logbook/admit'
import type { LogEntry } from '../../core/logbook/entry'
import { foldJob } from '../../core/logbook/foldJob'
import { fromCore } from '../../core/units/unitSystem'
import type { EntryAnswer, JobAnswer, TodayAnswer } from '../../shared/api/answers'
import type { EntryDraft } from '../../shared/logbook/entry'
import { machineFields, type MachineSnapshot } from '../../shared/register/machine'
import { OBJECTIONS } from '../../shared/wording/objections'
import { notFound, Refused } from '../http/refusal'
import { findMachine, updateMachine } from '../machines/machines.repository'
import { findPerson, findWorks } from '../works/works.repository'
import { findEntry, insertEntry, listEntries } from './entries.repository'
import { columnsOf, findJob, insertJob, lastClosedByMachine, listJobs, updateJob } from './jobs.repository'
import { tellViewers } from './viewers'

const UNIQUE_VIOLATION = '23505'
const idTaken = () =>
  new Refused(409, 'id-taken', 'Another entry already has this id. Send it again under a new one.')

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i

const requireJob = async (knex: Knex, id: string, lock = false) => {
  const job = UUID.test(id) ? await findJob(knex, id, lock) : null
  if (!job)
    throw notFound('There is no such job. It may have been opened on a device that has not sent it yet.')
  return job
}

const sameEntry = (a: LogEntry, b: LogEntry): boolean =>
  isDeepStrictEqual(
    [a.kind, a.payload, a.author, Date.parse(a.madeAt), a.supersedes],
    [b.kind, b.payload, b.author, Date.parse(b.madeAt), b.supersedes],
  )

/** A job with its logbook; 404 when there is none. */
export const readJob = async (knex: Knex, id: string): Promise<JobAnswer> => {
  const job = await requireJob(knex, id)
  return { id: job.id, machine: job.machine, entries: await listEntries(knex, job.id) }
}

/** The shims a closed job left under the feet become the register's. */
const rememberPacks = async (
  knex: Knex,
  machine: MachineSnapshot,
  entries: readonly LogEntry[],
): Promise<void> => {
  const current = await findMachine(knex, machine.tag, true)
  if (!current) return
  const { id, version, ...record } = current
  const packs = foldJob(machine, entries).packs
  const feet = record.feet.map((foot) => {
    const left = packs.find((p) => p.id === foot.id)?.packs
    if (!left) return foot
    const inOwn = (t: number) => Number(fromCore(t, 'displacement', record.units).toPrecision(12))
    return { ...foot, existing: { left: left.left.map(inOwn), right: left.right.map(inOwn) } }
  })
  const changed = machineFields.safeParse({ ...record, feet })
  if (changed.success) await updateMachine(knex, id, version, changed.data)
}

/** The one way into a logbook: check, append, derive the columns; all in the caller's transaction. */
const append = async (trx: Knex, jobId: string, draft: EntryDraft, received: Date): Promise<EntryAnswer> => {
  const entry: LogEntry = { ...draft, receivedAt: received.toISOString() }
  const job = await requireJob(trx, jobId, true)
  const known = await findEntry(trx, entry.id)
  if (known) {
    if (known.jobId === jobId && sameEntry(known.entry, entry)) return { entry: known.entry, added: false }
    throw idTaken()
  }
  if (!(await findPerson(trx, entry.author)))
    throw new Refused(422, 'bad-input', 'Nobody by that id works here. Choose who is writing.', {
      issues: [{ path: 'author', message: 'Nobody by that id works here. Choose who is writing.' }],
    })
  const logbook = await listEntries(trx, jobId)
  const objection = objectionTo(job.machine, logbook, entry)
  if (objection)
    throw new Refused(objection.sort === 'conflict' ? 409 : 422, objection.code, OBJECTIONS[objection.code], {
      issues: [{ path: objection.path.join('.'), message: OBJECTIONS[objection.code] }],
    })
  await insertEntry(trx, jobId, logbook.length + 1, entry)
  const entries = [...logbook, entry]
  await updateJob(trx, jobId, columnsOf(foldJob(job.machine, entries)), {
    receivedAt: received.toISOString(),
    author: entry.author,
    count: entries.length,
    closes: entry.kind === 'job-closed',
  })
  if (entry.kind === 'job-closed') await rememberPacks(trx, job.machine, entries)
  return { entry, added: true }
}

/** Adds an entry to a job; posting the same one twice adds it once. `received` is now, but for the demo seed. */
export const addEntry = async (
  knex: Knex,
  jobId: string,
  draft: EntryDraft,
  received = new Date(),
): Promise<EntryAnswer> => {
  const answer = await knex
    .transaction((trx) => append(trx, jobId, draft, received))
    .catch((failure: unknown) => {
      // Two jobs were offered the same id at once: the job's own lock can't see that.
      if ((failure as { code?: string }).code === UNIQUE_VIOLATION) throw idTaken()
      throw failure
    })
  if (answer.added) tellViewers(jobId, answer.entry)
  return answer
}

/** Opens a job on a machine with its first entry, both or neither. */
export const openJob = async (
  knex: Knex,
  opening: { readonly id: string; readonly machine: string; readonly opening: EntryDraft },
  received = new Date(),
): Promise<EntryAnswer> => {
  if (opening.opening.kind !== 'job-opened')
    throw new Refused(422, 'bad-input', 'A job begins with its opening entry.', {
      issues: [{ path: 'opening.kind', message: 'A job begins with its opening entry.' }],
    })
  return knex.transaction(async (trx) => {
    const machine = await findMachine(trx, opening.machine)
    if (!machine) throw notFound(`There is no machine with the tag ${opening.machine}.`)
    if (!(await findPerson(trx, opening.opening.author)))
      throw new Refused(422, 'bad-input', 'Nobody by that id works here. Choose who is writing.', {
        issues: [{ path: 'opening.author', message: 'Nobody by that id works here. Choose who is writing.' }],
      })
    const works = await findWorks(trx)
    const snapshot: MachineSnapshot = {
      ...machine,
      stock: works.stock
        .filter((s) => s.units === machine.units)
        .map(({ thickness, count }) => ({ thickness, count })),
      packLimit: works.packLimit,
    }
    await insertJob(trx, {
      id: opening.id,
      machine: snapshot,
      openedAt: received.toISOString(),
      author: opening.opening.author,
    })
    return append(trx, opening.id, opening.opening, received)
  })
}

/** What needs a wrench today. */
export const today = async (knex: Knex): Promise<TodayAnswer> => {
  const [open, closed, last] = await Promise.all([
    listJobs(knex, { open: true }),
    listJobs(knex, { open: false, most: 6 }),
    lastClosedByMachine(knex),
  ])
  return {
    open,
    outOfBand: [...last.values()]
      .filter((j) => j.verdict !== 'in')
      .sort((a, b) => a.tag.localeCompare(b.tag)),
    recentlyClosed: [...closed].sort((a, b) => (b.closedAt ?? '').localeCompare(a.closedAt ?? '')),
  }
}
