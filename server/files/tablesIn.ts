import type { Knex } from 'knex'
import type { TablesAnswer } from '../../shared/api/answers'
import type { TableFault, TablesRead } from '../../shared/files/readTables'
import type { EntryDraft } from '../../shared/logbook/entry'
import { isUuid } from '../../shared/text'
import { jobTableWords } from '../../shared/wording/en'
import { OWN_END } from '../../shared/wording/words'
import { Refused } from '../http/refusal'
import { idFrom } from '../idFrom'
import { jobsOfEntries } from '../jobs/entries.repository'
import { addEntry, openJob } from '../jobs/logbook'
import { draftOf, Fault, jobsFinder, planEntry, planOpening, utc, type Planned } from './tablePlans'

const w = jobTableWords(OWN_END)

/** Faults told at once; more of them help nobody. */
const MOST_FAULTS = 200
/** Things that the remark behind them names: so many fit into one. */
const MOST_REMARKED = 15

/** Behind what a file gave a job stands where it came from. */
const remarkOn = (job: string, came: readonly Planned[], person: string): EntryDraft | Fault => {
  const things = came.slice(0, MOST_REMARKED).flatMap(({ read }) => {
    if (!read) return []
    const { table, madeAt, by } = read
    return [w.remarkedAt(w.remarked[table], madeAt === null ? '' : utc(madeAt), by)]
  })
  const ids = came.map((c) => c.draft?.id)
  return draftOf({
    id: idFrom(`remark ${job} ${ids.join()}`),
    author: person,
    madeAt: new Date().toISOString(),
    after: ids.at(-1) ?? null,
    kind: 'remark',
    payload: { text: w.remark(things, came.length - things.length) },
  })
}

/**
 * Brings in what tables ask for, or says what that would do: jobs are opened, entries go into open jobs in the order
 * they were made in, each through the door that everything goes through, by whoever brings them in. What is wrong is
 * told and left out; nothing is written over, and the same file again does nothing.
 */
export const bringTables = async (
  knex: Knex,
  { openings, entries, faults: wrong }: TablesRead,
  person: string,
  write: boolean,
): Promise<TablesAnswer> => {
  const faults: TableFault[] = [...wrong]
  const planned: Planned[] = []
  const keep = (at: string, plan: Planned | Fault): void => {
    if (plan instanceof Fault) faults.push({ at, message: plan.message })
    else planned.push(plan)
  }
  for (const read of openings) keep(read.at, await planOpening(knex, read, person, planned))
  const jobFor = jobsFinder(knex)
  const now = new Date().toISOString()
  const inTime = [...entries].sort((a, b) => Date.parse(a.madeAt ?? now) - Date.parse(b.madeAt ?? now))
  const elsewhere = await jobsOfEntries(
    knex,
    entries.flatMap(({ entry }) => (isUuid(entry) ? [entry.toLowerCase()] : [])),
  )
  for (const read of inTime) {
    const job = await jobFor(read)
    keep(read.at, job instanceof Fault ? job : await planEntry(knex, read, job, person, elsewhere))
  }
  const wanted = planned.filter((p) => p.draft !== null)
  const taken = write ? await writeAll(knex, wanted, person, faults) : 0
  return {
    machine: [...new Set(wanted.map((p) => p.row.tag))].join(', ').slice(0, 200),
    rows: planned.map((p) => p.row),
    faults: faults.slice(0, MOST_FAULTS),
    taken,
    done: write,
  }
}

/** Writes what was planned; where a job takes one no more, what comes after it there is left out and told. Answers how many came in. */
const writeAll = async (
  knex: Knex,
  wanted: readonly Planned[],
  person: string,
  faults: TableFault[],
): Promise<number> => {
  let written = 0
  const came = new Map<string, Planned[]>()
  const stopped = new Set<string>()
  /** False where it was refused, which is told. */
  const done = async (at: string, work: () => Promise<unknown>): Promise<boolean> => {
    try {
      await work()
      return true
    } catch (failure) {
      if (!(failure instanceof Refused)) throw failure
      faults.push({ at, message: w.faults.stopped(failure.message) })
      return false
    }
  }
  for (const plan of wanted) {
    const { draft, row, opens } = plan
    const job = row.job ?? ''
    if (!draft || stopped.has(job)) continue
    if (opens) {
      const { job: id, tag: machine } = opens
      if (await done(row.at, () => openJob(knex, { id, machine, opening: draft }))) written++
    } else if (await done(row.at, () => addEntry(job, draft))) {
      written++
      came.set(job, [...(came.get(job) ?? []), plan])
    } else stopped.add(job)
  }
  for (const [job, own] of came) {
    const remark = remarkOn(job, own, person)
    if (!(remark instanceof Fault)) await done(own[0]?.row.at ?? '', () => addEntry(job, remark))
  }
  return written
}
