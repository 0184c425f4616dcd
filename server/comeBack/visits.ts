import type { Knex } from 'knex'
import { landOn } from '../../core/comeBack/landing'
import type { DueVisit } from '../../shared/api/answers'
import type { StandstillRecord } from '../../shared/comeBack/standstill'
import { lastClosedByMachine, openJobByMachine } from '../jobs/jobs.repository'
import { hallsInService } from '../machines/machines.repository'

/** Machines to come back to, by the day that was signed for, soonest first, with the stop that each lands on. */
export const dueVisits = async (
  knex: Knex,
  now: Date,
  standstills: readonly StandstillRecord[],
): Promise<readonly DueVisit[]> => {
  const [last, open, halls] = await Promise.all([
    lastClosedByMachine(knex),
    openJobByMachine(knex),
    hallsInService(knex),
  ])
  const stops = new Map<string, StandstillRecord[]>()
  for (const s of standstills) {
    const hall = s.area.toLowerCase()
    if (!s.cancelled) stops.set(hall, [...(stops.get(hall) ?? []), s])
  }
  return [...last]
    .flatMap(([machine, job]): readonly DueVisit[] => {
      const area = halls.get(machine)
      if (area === undefined || job.nextDue === null) return []
      const due = job.nextDue.slice(0, 10)
      return [
        {
          job,
          area,
          due,
          openJob: open.get(machine) ?? null,
          landing: landOn(due, now, stops.get(area.trim().toLowerCase()) ?? []),
        },
      ]
    })
    .sort((a, b) => a.due.localeCompare(b.due) || a.job.tag.localeCompare(b.job.tag))
}
