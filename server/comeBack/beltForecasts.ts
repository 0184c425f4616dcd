import type { Knex } from 'knex'
import { beltCourse, leavingOf, repeatOfMean, type CourseJob } from '../../core/history/beltCourse'
import { jobHistory, TOLD_BY } from '../../core/history/jobHistory'
import { readingsOf } from '../../core/register/readingsOf'
import type { LeavingAnswer } from '../../shared/api/answers'
import type { MachineSnapshot } from '../../shared/register/machine'
import { entriesOfJobs } from '../jobs/entries.repository'
import { figuresOfJobs, listJobs } from '../jobs/jobs.repository'

/** Closed jobs that a forecast looks back over: since belts were tensioned last there are seldom more. */
const JOBS_BACK = 24

/** The closed jobs of a machine, newest first, as the course of its belts is told from them. */
const courseJobs = async (knex: Knex, machineId: string): Promise<readonly CourseJob[]> => {
  const { rows } = await listJobs(knex, { machineId, open: false, most: JOBS_BACK })
  const ids = rows.map((j) => j.id)
  const [figures, entries] = await Promise.all([figuresOfJobs(knex, ids), entriesOfJobs(knex, ids, TOLD_BY)])
  return rows.map((j) => ({
    openedAt: j.openedAt,
    closedAt: j.closedAt ?? j.updatedAt,
    figures: figures.get(j.id) ?? [],
    belts: jobHistory(entries.get(j.id) ?? []).belts,
  }))
}

/** Works out anew, after a close, when the belts of a machine leave their band; forgets it where that is not yet known. */
export const forecastBelts = async (knex: Knex, machine: MachineSnapshot): Promise<void> => {
  if (machine.drive !== 'belt') return
  const leaving = leavingOf(beltCourse(await courseJobs(knex, machine.id), repeatOfMean(readingsOf(machine))))
  const row = { machine_id: machine.id }
  if (!leaving) {
    await knex('belt_forecasts').where(row).delete()
    return
  }
  await knex('belt_forecasts')
    .insert({ ...row, leaves_at: new Date(leaving.likely), earliest: new Date(leaving.earliest) })
    .onConflict('machine_id')
    .merge()
}

/** Machines in service whose belts will have left their band by a moment, the soonest first. */
export const beltsLeaving = async (knex: Knex, by: Date): Promise<readonly LeavingAnswer[]> => {
  const rows = (await knex('belt_forecasts as f')
    .join('machines as m', 'm.id', 'f.machine_id')
    .where('f.leaves_at', '<=', by)
    .whereRaw(`coalesce(m.record->>'retired', 'false') <> 'true'`)
    .orderBy('f.leaves_at')
    .select('m.tag', knex.raw(`m.record->>'name' as "machineName"`), 'f.earliest', 'f.leaves_at')) as {
    tag: string
    machineName: string
    earliest: Date
    leaves_at: Date
  }[]
  return rows.map(({ tag, machineName, earliest, leaves_at: at }) => ({
    tag,
    machineName,
    earliest: earliest.toISOString(),
    leavesAt: at.toISOString(),
  }))
}
