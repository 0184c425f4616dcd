import type { Knex } from 'knex'
import { dayOf } from '../../core/comeBack/days'
import { latenessOf } from '../../core/comeBack/landing'
import { settingsOf, sheaveReset } from '../../core/register/settings'
import { urgencyOf } from '../../core/stages/close/due'
import type { DueVisit, JobSummary, ResetAnswer, TodayAnswer } from '../../shared/api/answers'
import { standstillsFrom } from '../comeBack/standstills.repository'
import { beltsLeaving } from '../comeBack/beltForecasts'
import { dueVisits } from '../comeBack/visits'
import { hallsInService, variableSheaves } from '../machines/machines.repository'
import { lastClosedByMachine, listJobs, openJobByMachine, openResets } from './jobs.repository'

const MOST_OPEN = 50
const MOST_STOPS = 200
/** Belts that leave their band within so many days are said. */
const SOON_DAYS = 30

const lateness = ({ job, due }: DueVisit, today: string): number =>
  latenessOf(dayOf(new Date(job.closedAt ?? job.openedAt)), due, today)

/**
 * Machines whose sheave was set otherwise since they were lined up: by what an open job found there, else by what the
 * register says against how the last close left them.
 */
const resetSheaves = async (
  knex: Knex,
  last: ReadonlyMap<string, JobSummary>,
  openJobs: ReadonlyMap<string, string>,
): Promise<readonly ResetAnswer[]> => {
  const [machines, found] = await Promise.all([variableSheaves(knex), openResets(knex)])
  return machines.flatMap((m): ResetAnswer[] => {
    const open = found.get(m.id)
    const before = last.get(m.id)
    const left = before?.summary.kind === 'belt' ? before.summary.settings : undefined
    const reset = open?.reset ?? (left && sheaveReset(left, settingsOf(m)))
    return reset
      ? [
          {
            tag: m.tag,
            machineName: m.name,
            reset,
            closedAt: before?.closedAt ?? null,
            openJob: open?.job ?? openJobs.get(m.id) ?? null,
          },
        ]
      : []
  })
}

/** What needs a wrench today. The open jobs go on by their cursor at /api/jobs?open=yes. */
export const today = async (knex: Knex, now = new Date()): Promise<TodayAnswer> => {
  const day = dayOf(now)
  const standstills = await standstillsFrom(knex, now, MOST_STOPS)
  const [open, closed, last, halls, visits, openJobs, leaving] = await Promise.all([
    listJobs(knex, { open: true, most: MOST_OPEN }),
    listJobs(knex, { open: false, most: 6 }),
    lastClosedByMachine(knex),
    hallsInService(knex),
    dueVisits(knex, now, standstills),
    openJobByMachine(knex),
    beltsLeaving(knex, new Date(now.getTime() + SOON_DAYS * 86_400_000)),
  ])
  const inService = [...last].flatMap(([machine, job]) => (halls.has(machine) ? [job] : []))
  const dueBy = new Map(visits.map((v) => [v.job.tag, v]))
  return {
    leaving: leaving.map((l) => {
      const visit = dueBy.get(l.tag)
      return { ...l, due: visit?.due ?? null, openJob: visit?.openJob ?? null }
    }),
    reset: await resetSheaves(knex, last, openJobs),
    open,
    outOfBand: inService.filter((j) => j.verdict !== 'in').sort((a, b) => a.tag.localeCompare(b.tag)),
    // The one that is latest against its own interval comes first.
    due: visits
      .filter(({ due }) => urgencyOf(due, day) !== 'later')
      .sort((a, b) => lateness(b, day) - lateness(a, day)),
    standstills: standstills.filter((s) => !s.cancelled),
    provisional: inService
      .filter((j) => j.provisional)
      .sort((a, b) => (a.closedAt ?? '').localeCompare(b.closedAt ?? '')),
    recentlyClosed: closed.rows,
  }
}
