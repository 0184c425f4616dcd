import type { Knex } from 'knex'
import { foldJob, objectionTo } from '../../core/jobs/jobs'
import type { LogEntry } from '../../core/logbook/entry'
import { extended } from '../../core/logbook/forward'
import type { JobFileAnswer } from '../../shared/api/answers'
import { writeJobFile } from '../../shared/files/jobFile'
import type { ReadJob } from '../../shared/files/readJobFile'
import type { EntryDraft } from '../../shared/logbook/entry'
import { photographsOf } from '../../shared/photographs/photographs'
import { machineFields, type MachineRecord } from '../../shared/register/machine'
import { jobFileWords } from '../../shared/wording/en'
import { OWN_END } from '../../shared/wording/words'
import { busy } from '../http/databaseFailure'
import { Refused } from '../http/refusal'
import { isTaken, sameEntry } from '../jobs/append'
import { writeEntries } from '../jobs/append.repository'
import { columnsOf, findJob, insertJob } from '../jobs/jobs.repository'
import { addEntry, readJob } from '../jobs/logbook'
import { logbookOf } from '../jobs/logbooks'
import { forgetPeople, peopleById } from '../jobs/people'
import { findMachine, findMachineById, insertMachine } from '../machines/machines.repository'
import { findPhotograph, findPhotographs, insertPhotograph } from '../photographs/photographs.repository'
import { pictureFrom } from '../photographs/picture'
import { knownIn } from '../search/known'
import { termsOf } from '../search/terms'
import { findWorks, insertPerson } from '../works/works.repository'

const w = jobFileWords(OWN_END)

/** A job as the text of its file, with a name for it; 404 when there is none. */
export const jobAsFile = async (
  knex: Knex,
  id: string,
): Promise<{ readonly text: string; readonly name: string }> => {
  const { head, machine, entries } = await readJob(knex, id)
  const people = await peopleById(knex)
  const { name: works } = await findWorks(knex)
  const shown = [...new Set(entries.flatMap((e) => photographsOf(e)))]
  const photographs = await findPhotographs(knex, head.id, shown)
  const writers = new Set(entries.flatMap((e) => (e.second ? [e.author, e.second] : [e.author])))
  const text = writeJobFile({
    works,
    job: head.id,
    people: [...people.values()]
      .filter((p) => writers.has(p.id))
      .map(({ id: person, name, role }) => ({ id: person, name, role })),
    machine,
    entries,
    photographs: [...photographs]
      .sort((a, b) => shown.indexOf(a.id) - shown.indexOf(b.id))
      .map((p) => ({ id: p.id, sent: p.sent.toString('hex'), jpeg: p.jpeg.toString('base64') })),
  })
  return { text, name: `${machine.tag}-${head.openedAt.toISOString().slice(0, 10)}.job.json` }
}

const refused = (code: string, message: string, path = '') =>
  new Refused(409, code, message, { issues: [{ path, message }] })

/** The machine of the register that a job from a file belongs to; null where it would be added. */
const machineFor = async (knex: Knex, { machine }: ReadJob): Promise<MachineRecord | null> => {
  const known = (await findMachineById(knex, machine.id)) ?? (await findMachine(knex, machine.tag))
  if (known && known.drive !== machine.drive)
    throw refused('tag-taken', w.faults.tagTaken(machine.tag), 'machine')
  return known
}

/** Entries of a file that the job here has not; 409 where one of them says something else here. */
const entriesBeyond = (here: readonly LogEntry[], there: readonly LogEntry[]): readonly LogEntry[] => {
  const known = new Map(here.map((e) => [e.id, e]))
  there.forEach((e, i) => {
    const own = known.get(e.id)
    if (own && !sameEntry(own, e)) throw refused('id-taken', w.faults.otherEntry, `entries.${i}`)
  })
  return there.filter((e) => !known.has(e.id))
}

/** How many entries today's rules would not let in: told, and kept as they were written. */
const otherwiseToday = ({ machine, entries }: ReadJob): number => {
  let logbook: readonly LogEntry[] = []
  return entries.filter((e) => {
    const objection = objectionTo(machine, logbook, e)
    logbook = extended(logbook, e)
    return Boolean(objection)
  }).length
}

/** What bringing a job in would do, and whether it has been done. Writes nothing. */
export const wouldBringIn = async (knex: Knex, read: ReadJob): Promise<JobFileAnswer> => {
  const head = await findJob(knex, read.job)
  const machine = await machineFor(knex, read)
  if (head && head.machineId !== machine?.id) throw refused('id-taken', w.faults.idTaken, 'job')
  const here = head ? (await logbookOf(knex, head)).entries : []
  const added = entriesBeyond(here, read.entries).length
  const people = await peopleById(knex)
  const photographs = await findPhotographs(
    knex,
    read.job,
    read.photographs.map((p) => p.id),
  )
  return {
    job: read.job,
    works: read.works,
    tag: machine?.tag ?? read.machine.tag,
    is: head ? (added > 0 ? 'more' : 'same') : 'new',
    entries: added,
    machine: machine ? 'here' : 'new',
    people: head ? [] : read.people.filter((p) => !people.has(p.id)).map((p) => p.name),
    photographs: read.photographs.length - photographs.length,
    otherwise: head ? 0 : otherwiseToday(read),
    done: false,
  }
}

/** Photographs of a file as they are kept: each is opened to be sure that it is a picture. */
const picturesIn = async (knex: Knex, { job, photographs }: ReadJob) => {
  const opened = []
  for (const { id, sent, jpeg } of photographs) {
    const known = await findPhotograph(knex, id)
    if (known && known.jobId !== job) throw refused('id-taken', w.faults.photographTaken, 'photographs')
    if (known) continue
    const bytes = Buffer.from(jpeg, 'base64')
    const { width, height } = await pictureFrom(bytes)
    opened.push({ id, sent: Buffer.from(sent, 'hex'), picture: { jpeg: bytes, width, height } })
  }
  return opened
}

const insertWhole = async (trx: Knex, read: ReadJob): Promise<void> => {
  const people = await peopleById(trx)
  for (const person of read.people) if (!people.has(person.id)) await insertPerson(trx, person)
  const known = await machineFor(trx, read)
  const machine = { ...read.machine, id: known?.id ?? read.machine.id }
  if (!known && !(await insertMachine(trx, machine.id, machineFields.parse(machine)))) throw busy()
  const { entries } = read
  const [opening] = entries
  const job = foldJob(machine, entries)
  const columns = columnsOf(job)
  const openedAt = opening?.receivedAt ?? new Date().toISOString()
  const roleOf = (id: string) => people.get(id)?.role ?? read.people.find((p) => p.id === id)?.role ?? ''
  await insertJob(trx, { id: read.job, machine, openedAt, author: opening?.author ?? '', columns })
  const told = knownIn(machine, entries)
  const written = await writeEntries(trx, {
    jobId: read.job,
    machineId: machine.id,
    known: 0,
    news: entries,
    columns,
    figuresChanged: true,
    found: { words: [...told.words].join(' '), terms: termsOf(machine, job, told), openedAt },
    closedAt: entries.find((e) => e.kind === 'job-closed')?.receivedAt ?? null,
    writers: [...new Set(entries.map((e) => e.author))].map((id) => ({ id, role: roleOf(id) })),
  })
  if (!written) throw busy()
}

/** Adds an entry of a file to a job that is here; a refusal says how far the file came. */
const addNext = async (job: string, draft: EntryDraft, at: number): Promise<void> => {
  try {
    await addEntry(job, draft, { fromFile: true })
  } catch (failure) {
    if (!(failure instanceof Refused) || failure.status === 503) throw failure
    const message = w.faults.stoppedAt(at + 1, failure.message)
    throw new Refused(failure.status, failure.code, message, { issues: [{ path: `entries.${at}`, message }] })
  }
}

/**
 * Brings a job in from its file: all of a new one as it was written, or what is new of one that is here, entry by entry
 * through the door that everything goes through. Never writes over anything; the same file again does nothing. What a
 * closing said to the register is not said again.
 */
export const bringIn = async (knex: Knex, read: ReadJob): Promise<JobFileAnswer> => {
  const would = await wouldBringIn(knex, read)
  const pictures = await picturesIn(knex, read)
  const keepPictures = async (trx: Knex) => {
    for (const { id, sent, picture } of pictures) await insertPhotograph(trx, read.job, id, sent, picture)
  }
  try {
    if (would.is === 'new')
      await knex.transaction(async (trx) => {
        await insertWhole(trx, read)
        await keepPictures(trx)
      })
    else {
      await keepPictures(knex)
      const head = await findJob(knex, read.job)
      const here = head ? (await logbookOf(knex, head)).entries : []
      const beyond = new Set(entriesBeyond(here, read.entries))
      for (const [i, { receivedAt: _, ...draft }] of read.entries.entries())
        if (beyond.has(read.entries[i] as LogEntry)) await addNext(read.job, draft, i)
    }
  } catch (failure) {
    if (isTaken(failure)) throw refused('id-taken', w.faults.entryElsewhere)
    throw failure
  } finally {
    forgetPeople()
  }
  return { ...would, done: true }
}
