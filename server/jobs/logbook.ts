import type { Knex } from 'knex'
import { foldJob } from '../../core/jobs/jobs'
import type { LogEntry } from '../../core/logbook/entry'
import type { EntryAnswer, JobAnswer, JobSummary, Page, WireDriveLeft } from '../../shared/api/answers'
import type { Settings } from '../../core/register/setSheaves'
import { driveLeft, LEFT_BY } from '../../core/stages/inspect/driveLeft'
import { isUuid } from '../../shared/text'
import { findAnew } from '../search/search.repository'
import { knownIn } from '../search/known'
import { termsOf } from '../search/terms'
import type { EntryDraft } from '../../shared/logbook/entry'
import { toWire } from '../../shared/logbook/lifts'
import { MACHINE_SCHEMA } from '../../shared/register/lifts'
import type { MachineSnapshot } from '../../shared/register/machine'
import { keptWithJob } from '../../shared/register/keptWithJob'
import { answerWords } from '../../shared/wording/viewWords'
import { database } from '../database/connection'
import { notFound, Refused } from '../http/refusal'
import { findMachine } from '../machines/machines.repository'
import { askForPhotographs } from '../photographs/askForPhotographs'
import { askSecond } from '../people/admit'
import { findWorks } from '../works/works.repository'
import { appendAll, appendBatch, idTaken, isTaken, noLeaveFor, personOf, type Offered } from './append'
import { Batches, type Settled } from './batches'
import { entriesOfJobs, lastSetUps, leavesPutIn } from './entries.repository'
import {
  columnsOf,
  findJob,
  insertJob,
  jobClosedBefore,
  listJobs,
  updateProjections,
  type JobHead,
} from './jobs.repository'
import { keepLogbook, logbookOf, type Logbook } from './logbooks'
import { peopleById } from './people'

/** The head of a job; 404 when there is none. */
export const requireJob = async (knex: Knex, id: string, lock = false): Promise<JobHead> => {
  const job = isUuid(id) ? await findJob(knex, id.toLowerCase(), lock) : null
  if (!job) throw notFound(answerWords.noJob)
  return job
}

/** A job with its logbook; 404 when there is none. */
export const readJob = async (
  knex: Knex,
  id: string,
): Promise<Logbook & { readonly id: string; readonly head: JobHead }> => {
  const head = await requireJob(knex, id)
  const logbook = await logbookOf(knex, head)
  keepLogbook(head.id, logbook)
  return { id: head.id, head, ...logbook }
}

/** How the job before left a belt drive. */
const driveBefore = async (
  knex: Knex,
  { id, closedAt }: { readonly id: string; readonly closedAt: string },
  settings: Settings,
): Promise<WireDriveLeft> => {
  const entries = (await entriesOfJobs(knex, [id], LEFT_BY)).get(id) ?? []
  const left = driveLeft(id, closedAt, settings, entries)
  return { ...left, line: left.line && toWire(left.line), tension: left.tension && toWire(left.tension) }
}

/** How a machine was set up in the job before, and each of its parts where it has any. */
const previousOf = (
  closedAt: string,
  setUps: ReadonlyMap<string, LogEntry<'set-up'>>,
): JobAnswer['previous'] => {
  const parts = [...setUps].filter(([part]) => part !== '')
  return {
    closedAt,
    setUp: setUps.get('')?.payload ?? null,
    ...(parts.length > 0 ? { parts: Object.fromEntries(parts.map(([part, e]) => [part, e.payload])) } : {}),
  }
}

/** A job as a client opens it: with the set-up of this machine's job before it. */
export const answerJob = async (knex: Knex, id: string): Promise<JobAnswer> => {
  const { head, machine, entries } = await readJob(knex, id)
  const [before, leavesBefore] = await Promise.all([
    jobClosedBefore(knex, head.machineId, head.openedAt),
    leavesPutIn(knex, head.machineId, head.openedAt),
  ])
  const [setUps, drive] = before
    ? await Promise.all([
        before.settings ? null : lastSetUps(knex, before.id),
        before.settings ? driveBefore(knex, before, before.settings) : null,
      ])
    : [null, null]
  return {
    id: head.id,
    machineSchema: MACHINE_SCHEMA,
    machine,
    entries: entries.map(toWire),
    leavesBefore,
    previous: before && setUps && setUps.size > 0 ? previousOf(before.closedAt, setUps) : null,
    drive,
    left: before?.left ? { job: before.id, closedAt: before.closedAt, coupling: before.left } : null,
  }
}

/** Entries wait for their own job here, in memory: see Batches. */
const appends = new Batches<Offered, EntryAnswer>(
  (jobId, offered) => appendBatch(database('write'), jobId, offered),
  { most: 64, mostWaiting: 400, patience: 4000 },
)

const only = (results: readonly Settled<EntryAnswer>[]): EntryAnswer => {
  const [result] = results
  if (result && 'done' in result) return result.done
  throw result?.failed ?? notFound(answerWords.noJob)
}

/**
 * Adds an entry to a job; posting the same one twice adds it once. A second person must have shown their PIN for it here,
 * but where it comes from the file of a job: there they showed it where it was written.
 */
export const addEntry = async (
  jobId: string,
  draft: EntryDraft,
  { fromFile = false }: { readonly fromFile?: boolean } = {},
): Promise<EntryAnswer> => {
  const id = jobId.toLowerCase()
  if (!isUuid(id)) throw notFound(answerWords.noJob)
  const people = await peopleById(database('read'))
  // Judged again as it is written: by then somebody may be let do less, or more.
  const noLeave = people.has(draft.author) ? noLeaveFor(people, draft) : undefined
  if (noLeave) throw noLeave
  await askForPhotographs(database('read'), id, draft)
  if (draft.second !== undefined && !fromFile) await askSecond(database('write'), draft, people)
  return appends.add(id, { draft, received: new Date() })
}

/** Adds an entry within a transaction of the caller's, as of a moment: for the demo seed. */
export const addEntryWithin = async (
  trx: Knex,
  jobId: string,
  draft: EntryDraft,
  received: Date,
): Promise<EntryAnswer> => {
  const { results, settle } = await appendAll(trx, jobId, [{ draft, received }])
  settle()
  return only(results)
}

/** A machine as a job keeps it from its opening on. */
const snapshotOf = async (trx: Knex, tag: string): Promise<MachineSnapshot> => {
  const machine = await findMachine(trx, tag)
  if (!machine) throw notFound(answerWords.noTag(tag))
  if (machine.retired) throw new Refused(409, 'retired', answerWords.retired(machine.tag))
  return keptWithJob(machine, await findWorks(trx))
}

/** Opens a job on a machine with its first entry, both or neither. */
export const openJob = async (
  knex: Knex,
  opening: { readonly id: string; readonly machine: string; readonly opening: EntryDraft },
  received = new Date(),
): Promise<EntryAnswer> => {
  if (opening.opening.kind !== 'job-opened')
    throw new Refused(422, 'bad-input', answerWords.beginsWithOpening, {
      issues: [{ path: 'opening.kind', message: answerWords.beginsWithOpening }],
    })
  const within = async (trx: Knex) => {
    const machine = await snapshotOf(trx, opening.machine)
    personOf(await peopleById(trx), opening.opening.author, 'opening.author')
    const added = await insertJob(trx, {
      id: opening.id,
      machine,
      openedAt: received.toISOString(),
      author: opening.opening.author,
      columns: columnsOf(foldJob(machine, [])),
    })
    if (!added && (await findJob(trx, opening.id))?.machineId !== machine.id)
      throw new Refused(409, 'id-taken', answerWords.jobIdTakenOpenAgain, {
        issues: [{ path: 'id', message: answerWords.jobIdTaken }],
      })
    return appendAll(trx, opening.id, [{ draft: opening.opening, received }])
  }
  try {
    const { results, settle } = await knex.transaction(within)
    const answer = only(results)
    settle()
    return answer
  } catch (failure) {
    if (isTaken(failure)) throw idTaken()
    throw failure
  }
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
  if (wanted.machine && !machine) throw notFound(answerWords.noTag(wanted.machine))
  return listJobs(knex, {
    machineId: machine?.id,
    open: wanted.open === undefined ? undefined : wanted.open === 'yes',
    after: wanted.after,
    most: wanted.most,
  })
}

/** Rewrites the derived columns and figures of one job, and what it is found by, from its logbook. */
export const refoldJob = async (knex: Knex, id: string): Promise<void> => {
  await knex.transaction(async (trx) => {
    const head = await requireJob(trx, id, true)
    const { machine, entries } = await logbookOf(trx, head)
    const at = entries[entries.length - 1]?.receivedAt ?? head.openedAt.toISOString()
    const job = foldJob(machine, entries)
    await updateProjections(trx, head, columnsOf(job), at)
    const known = knownIn(machine, entries)
    await findAnew(trx, {
      jobId: head.id,
      openedAt: head.openedAt.toISOString(),
      words: [...known.words].join(' '),
      terms: termsOf(machine, job, known),
    })
  })
}
