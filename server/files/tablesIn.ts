import type { Knex } from 'knex'
import type { TablesAnswer } from '../../shared/api/answers'
import type { ReadLines, TableFault, TablesRead } from '../../shared/files/readTables'
import { jobTableWords } from '../../shared/wording/en'
import { OWN_END } from '../../shared/wording/words'
import { Refused } from '../http/refusal'
import { jobsOfEntries } from '../jobs/entries.repository'
import { addEntry, openJob } from '../jobs/logbook'
import {
  draftOf,
  Fault,
  idFrom,
  jobsFinder,
  planEntry,
  planOpening,
  utc,
  UUID,
  type Planned,
} from './tablePlans'

const w = jobTableWords(OWN_END)

/** Faults told at once; more of them help nobody. */
const MOST_FAULTS = 200
/** Things that the remark behind them names. */
const MOST_REMARKED = 20

/** Behind what a file gave a job stands where it came from. */
const remarkOn = (came: readonly { readonly read: ReadLines; readonly planned: Planned }[]) => {
  const things = came
    .slice(0, MOST_REMARKED)
    .map(({ read: { table, madeAt, by } }) =>
      w.remarkedAt(w.remarked[table], madeAt === null ? '' : utc(madeAt), by),
    )
  return w.remark(things, came.length - things.length)
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
  const came: { readonly read: ReadLines; readonly planned: Planned }[] = []
  const keep = (at: string, plan: Planned | Fault): Planned | null => {
    if (plan instanceof Fault) {
      faults.push({ at, message: plan.message })
      return null
    }
    planned.push(plan)
    return plan
  }
  for (const read of openings) keep(read.at, await planOpening(knex, read, person, planned))
  const jobFor = jobsFinder(knex)
  const now = new Date().toISOString()
  const inTime = [...entries].sort((a, b) => Date.parse(a.madeAt ?? now) - Date.parse(b.madeAt ?? now))
  const elsewhere = await jobsOfEntries(
    knex,
    entries.flatMap(({ entry }) => (UUID.test(entry) ? [entry.toLowerCase()] : [])),
  )
  for (const read of inTime) {
    const job = await jobFor(read)
    const plan = keep(
      read.at,
      job instanceof Fault ? job : await planEntry(knex, read, job, person, elsewhere),
    )
    if (plan) came.push({ read, planned: plan })
  }
  const wanted = planned.filter((p) => p.draft !== null)
  const answer = {
    machine: [...new Set(wanted.map((p) => p.row.tag))].join(', ').slice(0, 200),
    rows: planned.map((p) => p.row),
    done: write,
  }
  if (!write) return { ...answer, faults: faults.slice(0, MOST_FAULTS), taken: 0 }
  const taken = await writeAll(knex, wanted, came, person, faults)
  return { ...answer, faults: faults.slice(0, MOST_FAULTS), taken }
}

/** Writes what was planned; where a job takes one no more, what comes after it there is left out and told. Answers how many came in. */
const writeAll = async (
  knex: Knex,
  wanted: readonly Planned[],
  came: readonly { readonly read: ReadLines; readonly planned: Planned }[],
  person: string,
  faults: TableFault[],
): Promise<number> => {
  const written = new Set<Planned>()
  const stopped = new Set<string>()
  for (const plan of wanted) {
    const { draft, row, opens } = plan
    if (!draft || stopped.has(row.job ?? '')) continue
    try {
      if (opens) await openJob(knex, { id: opens.job, machine: opens.tag, opening: draft })
      else await addEntry(row.job ?? '', draft)
      written.add(plan)
    } catch (failure) {
      if (!(failure instanceof Refused)) throw failure
      faults.push({ at: row.at, message: w.faults.stopped(failure.message) })
      if (row.job) stopped.add(row.job)
    }
  }
  for (const job of new Set([...written].flatMap((p) => (p.row.job === null ? [] : [p.row.job])))) {
    const own = came.filter((c) => c.planned.row.job === job && written.has(c.planned))
    const last = own.at(-1)?.planned.draft
    const text = remarkOn(own)
    const remark = draftOf({
      id: idFrom(
        'remark',
        job,
        own.map((c) => c.planned.draft?.id),
      ),
      author: person,
      madeAt: new Date().toISOString(),
      after: last?.id ?? null,
      kind: 'remark',
      payload: { text },
    })
    if (!(remark instanceof Fault)) await addEntry(job, remark)
  }
  return written.size
}
