import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { EntryKind, LogEntry } from '../../core/logbook/entry'
import { extended } from '../../core/logbook/forward'
import type { ObjectionCode } from '../../core/logbook/stage'
import { isMove } from '../../core/logbook/moves'
import { circlesOf } from '../../core/methods/methods'
import type { TableRow } from '../../shared/api/answers'
import { issuesOf } from '../../shared/calculation/issues'
import type { ReadLines, ReadOpening } from '../../shared/files/readTables'
import { inOrder } from '../../shared/inOrder'
import { asDraft, entryDraft, type EntryDraft } from '../../shared/logbook/entry'
import { jobTableWords, kinds } from '../../shared/wording/en'
import { isUuid } from '../../shared/text'
import { answerWords } from '../../shared/wording/viewWords'
import { OWN_END } from '../../shared/wording/words'
import type { Refused } from '../http/refusal'
import { idFrom } from '../idFrom'
import { noLeaveFor, refusalOf } from '../jobs/append'
import { findJob, listJobs } from '../jobs/jobs.repository'
import { logbookOf, type Logbook } from '../jobs/logbooks'
import { peopleById } from '../jobs/people'
import { findMachine } from '../machines/machines.repository'

const w = jobTableWords(OWN_END)

/** Milliseconds by which the clock of whoever wrote a file may run ahead. */
const AHEAD = 5 * 60_000

/** Kinds that say how a machine stands or stood: none of them can come in ahead of a later one, but readings by the move behind them. */
const SAYS_HOW_IT_STANDS: readonly EntryKind[] = [
  'readings-taken',
  'move-made',
  'flange-moved',
  'tension-read',
  'tension-adjusted',
]

/** A moment as a sentence of the server can say it, wherever it is read. */
export const utc = (iso: string): string => `${iso.slice(0, 16).replace('T', ' ')} UTC`

/** What would be written. */
export interface Planned {
  readonly row: TableRow
  /** Null where nothing is to be written. */
  readonly draft: EntryDraft | null
  /** The lines that an entry is made of; missing where a job is opened. */
  readonly read?: ReadLines
  /** A job that is to be opened, and its machine. */
  readonly opens?: { readonly job: string; readonly tag: string }
}

/** A job of the works, as far as it came with what is to be added. */
interface OpenJob {
  readonly id: string
  logbook: Logbook
}

/** What is wrong with one thing of a file: it is left out. */
export class Fault {
  constructor(readonly message: string) {}
}

/** A payload as a table can say it: texts without the blanks at their ends. */
const asTold = (value: unknown): string =>
  JSON.stringify(inOrder(value), (_, v: unknown) => (typeof v === 'string' ? v.trim() : v))

const isLate = (iso: string | null): boolean => iso !== null && Date.parse(iso) > Date.now() + AHEAD

/** Finds the jobs that files speak of, each once. */
export const jobsFinder = (knex: Knex) => {
  const found = new Map<string, OpenJob | Fault>()
  const byTag = async (tag: string): Promise<string | Fault> => {
    if (tag === '') return new Fault(w.faults.sayWhich)
    const machine = await findMachine(knex, tag)
    if (!machine) return new Fault(w.faults.noMachine(tag))
    const { rows } = await listJobs(knex, { machineId: machine.id, open: true, most: 2 })
    const [job, other] = rows
    if (!job) return new Fault(w.faults.noOpenJob(machine.tag))
    return other ? new Fault(w.faults.severalJobs(machine.tag)) : job.id
  }
  const find = async (id: string, tag: string): Promise<OpenJob | Fault> => {
    const job = id === '' ? await byTag(tag) : id
    if (job instanceof Fault) return job
    const known = found.get(job)
    if (known) return known
    const head = await findJob(knex, job)
    if (!head) return new Fault(w.faults.noJob)
    const own: OpenJob = { id: job, logbook: await logbookOf(knex, head) }
    found.set(job, own)
    return own
  }
  return async ({ job, tag }: { readonly job: string; readonly tag: string }): Promise<OpenJob | Fault> => {
    const key = JSON.stringify([job, tag.toLowerCase()])
    const known = found.get(key)
    if (known) return known
    let own = await find(job, tag)
    if (!(own instanceof Fault)) {
      const { machine } = own.logbook
      if (tag !== '' && machine.tag.toLowerCase() !== tag.toLowerCase())
        own = new Fault(w.faults.otherMachine(machine.tag))
    }
    found.set(key, own)
    return own
  }
}

/** A draft through the schema of entries; what is wrong with it where it does not pass. */
export const draftOf = (draft: unknown): EntryDraft | Fault => {
  const parsed = entryDraft.safeParse(draft)
  return parsed.success
    ? asDraft(parsed.data)
    : new Fault(issuesOf(parsed.error)[0]?.message ?? answerWords.doesNotFit)
}

/** Opening a job that a line asks for, or why not. */
export const planOpening = async (
  knex: Knex,
  read: ReadOpening,
  person: string,
  planned: readonly Planned[],
): Promise<Planned | Fault> => {
  const row = (
    tag: string,
    job: string | null,
    is: TableRow['is'],
    reason: TableRow['reason'],
  ): TableRow => ({
    table: 'jobs',
    at: read.at,
    counted: 1,
    tag,
    job,
    madeAt: read.openedAt,
    by: '',
    reason,
    before: null,
    is,
  })
  const known = read.job === '' ? null : await findJob(knex, read.job)
  const machine = read.tag === '' ? null : await findMachine(knex, read.tag)
  if (known) {
    const { machine: own } = await logbookOf(knex, known)
    return machine && machine.id !== known.machineId
      ? new Fault(w.faults.otherMachine(own.tag))
      : { row: row(own.tag, known.id, 'same', null), draft: null }
  }
  if (!machine) return new Fault(read.tag === '' ? w.faults.sayWhich : w.faults.noMachine(read.tag))
  if (machine.retired) return new Fault(answerWords.retired(machine.tag))
  if (read.closed) return new Fault(w.faults.closedJob)
  if (isLate(read.openedAt)) return new Fault(w.faults.toCome)
  // The same line of the same list, read again, is the same job; without a day it is whatever job is in hand.
  const job =
    read.job ||
    (read.openedAt === null ? randomUUID() : idFrom(['job', machine.id, read.openedAt, read.reason].join()))
  if (read.job === '' && read.openedAt !== null && (await findJob(knex, job)))
    return { row: row(machine.tag, job, 'same', null), draft: null }
  const { reason, customer, site, note } = read
  const draft = draftOf({
    id: idFrom(`opening ${job}`),
    author: person,
    madeAt: read.openedAt ?? new Date().toISOString(),
    kind: 'job-opened',
    payload: {
      reason,
      rpm: read.rpm ?? machine.rpm,
      customer,
      ...(site === '' ? {} : { site }),
      note,
    },
  })
  if (draft instanceof Fault) return draft
  const { rows } = await listJobs(knex, { machineId: machine.id, open: true, most: 1 })
  const opened = planned.find((p) => p.opens?.tag === machine.tag)
  const [inHand] = rows
  if (inHand || opened) return { row: row(machine.tag, inHand?.id ?? null, 'open', null), draft: null }
  const noLeave = noLeaveFor(await peopleById(knex), draft)
  if (noLeave) return new Fault(noLeave.message)
  return draft.kind === 'job-opened'
    ? { row: row(machine.tag, null, 'new', draft.payload.reason), draft, opens: { job, tag: machine.tag } }
    : new Fault(answerWords.doesNotFit)
}

/** An entry of an open job, by the job's own set-up and rules; the job goes on with it. */
export const planEntry = async (
  knex: Knex,
  read: ReadLines,
  job: OpenJob,
  person: string,
  elsewhere: ReadonlyMap<string, string>,
): Promise<Planned | Fault> => {
  const { logbook } = job
  const { machine, entries } = logbook
  const { table, at, counted, by, madeAt, part } = read
  const row = { table, at, counted, by, madeAt, tag: machine.tag, job: job.id, reason: null, before: null }
  const id = entryIdOf(read, job.id)
  const known = entries.find((e) => e.id === id)
  if (known) {
    const same =
      known.kind === read.body.kind &&
      (known.part ?? '') === part &&
      asTold(known.payload) === asTold(read.body.payload)
    return same ? { row: { ...row, is: 'same' }, draft: null } : new Fault(w.faults.otherEntry)
  }
  if ((elsewhere.get(id) ?? job.id) !== job.id) return new Fault(w.faults.otherJob)
  if (isLate(madeAt)) return new Fault(w.faults.toCome)
  const later = read.corrects ? [] : laterThan(entries, madeAt)
  const move = read.body.kind === 'readings-taken' ? (later.find(isMove) ?? null) : null
  const [stands] = later
  if (stands && read.body.kind !== 'readings-taken')
    return new Fault(w.faults.laterStands(kinds[stands.kind].toLowerCase(), utc(stands.madeAt)))
  const draft = draftOf({
    id,
    author: person,
    madeAt: madeAt ?? new Date().toISOString(),
    after: entries.at(-1)?.id ?? null,
    before: move?.id ?? null,
    ...(part === '' ? {} : { part }),
    supersedes: read.corrects,
    ...read.body,
  })
  if (draft instanceof Fault) return draft
  const entry: LogEntry = { ...draft, receivedAt: new Date().toISOString() }
  const refusal = refusalOf(logbook, await peopleById(knex), entry)
  if (refusal) return new Fault([refusal.message, ...dialsIn(entries, refusal, part)].join(' '))
  job.logbook = { machine, entries: extended(entries, entry) }
  return { row: { ...row, is: 'new', before: move?.madeAt ?? null }, draft, read }
}

/** What the dials of the set-up in force are called in a table, where readings of others were refused. */
const dialsIn = (entries: readonly LogEntry[], { code }: Refused, part: string): readonly string[] => {
  if (code !== ('other-circles' satisfies ObjectionCode)) return []
  const setUp = entries.findLast((e) => e.kind === 'set-up' && (e.part ?? '') === part)
  return setUp?.kind === 'set-up' ? [w.faults.circles(circlesOf(setUp.payload.how))] : []
}

/** Entries of a logbook that say how the machine stood later than this; none where a file does not say when. */
const laterThan = (entries: readonly LogEntry[], madeAt: string | null): readonly LogEntry[] =>
  madeAt === null
    ? []
    : entries.filter(
        (e) =>
          SAYS_HOW_IT_STANDS.includes(e.kind) &&
          e.supersedes === null &&
          Date.parse(e.madeAt) > Date.parse(madeAt),
      )

/** The id that a file gives an entry, else one made of what it says. */
const entryIdOf = ({ entry, madeAt, part, corrects, body }: ReadLines, job: string): string =>
  isUuid(entry) ? entry.toLowerCase() : idFrom(asTold(['entry', job, entry, madeAt, part, corrects, body]))
