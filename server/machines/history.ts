import type { Knex } from 'knex'
import { jobHistory, TOLD_BY, type JobHistory } from '../../core/history/jobHistory'
import type { HistoryAnswer } from '../../shared/api/answers'
import { pages } from '../../shared/wording/en'
import { answerWords } from '../../shared/wording/viewWords'
import { notFound } from '../http/refusal'
import { entriesOfJobs } from '../jobs/entries.repository'
import { figuresOfJobs, listJobs } from '../jobs/jobs.repository'
import { peopleById } from '../jobs/people'
import { findMachine } from './machines.repository'

/** Closed jobs that a machine's page looks back over: some six years of quarterly checks. */
const JOBS_BACK = 24

/** What the closed jobs of a machine found, left and moved, newest first; 404 for an unknown tag. */
export const machineHistory = async (knex: Knex, tag: string): Promise<HistoryAnswer> => {
  const machine = await findMachine(knex, tag)
  if (!machine) throw notFound(answerWords.noMachine(tag))
  const { rows } = await listJobs(knex, { machineId: machine.id, open: false, most: JOBS_BACK })
  const ids = rows.map((j) => j.id)
  const [figures, entries, people] = await Promise.all([
    figuresOfJobs(knex, ids),
    entriesOfJobs(knex, ids, TOLD_BY),
    peopleById(knex),
  ])
  const nameOf = (id: string) => people.get(id)?.name ?? pages.machine.someone
  const named = (told: JobHistory): JobHistory => ({
    ...told,
    remarks: told.remarks.map((r) => ({ ...r, by: nameOf(r.by) })),
    moved: told.moved.map((m) => ({ ...m, by: m.by.map(nameOf) })),
    flange: told.flange && {
      ...told.flange,
      by: told.flange.by.map(nameOf),
      bolts: told.flange.bolts.map((b) => ({ ...b, by: b.by.map(nameOf) })),
    },
    gear: told.gear && { ...told.gear, by: told.gear.by.map(nameOf) },
  })
  return {
    jobs: rows.map((j) => ({
      id: j.id,
      openedAt: j.openedAt,
      closedAt: j.closedAt ?? j.updatedAt,
      verdict: j.verdict,
      rounds: j.summary.rounds,
      figures: figures.get(j.id) ?? [],
      ...named(jobHistory(entries.get(j.id) ?? [])),
    })),
  }
}
