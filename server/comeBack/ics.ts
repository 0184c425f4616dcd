import ical, { ICalEventTransparency } from 'ical-generator'
import type { DueVisit } from '../../shared/api/answers'
import type { StandstillRecord } from '../../shared/comeBack/standstill'
import { comeBack, verdicts } from '../../shared/wording/en'
import { visitWords } from '../../shared/wording/comeBack'
import { tellingOf } from '../../shared/wording/telling'

const HOURS_BETWEEN_LOOKS = 4
/** Days have no hour: written from their noon, they stay what they are in every time zone. */
const noonOf = (day: string): Date => new Date(`${day}T12:00:00.000Z`)

/** Returns and standstills as an iCalendar: what lands on a stop at its hours, the rest as whole days. */
export const calendarText = (of: {
  readonly name: string
  readonly visits: readonly DueVisit[]
  readonly standstills: readonly StandstillRecord[]
}): string => {
  const w = comeBack.ics
  const telling = tellingOf('metric', null)
  const calendar = ical({
    name: of.name,
    prodId: { company: 'hushed-caliper', product: 'come-back' },
    ttl: HOURS_BETWEEN_LOOKS * 3600,
  })
  for (const visit of of.visits) {
    const { job, area, landing } = visit
    const what = visitWords(visit, telling)
    const event = calendar.createEvent({
      id: `return-${job.id}`,
      summary: landing ? w.visit(job.tag, job.machineName, what) : w.asks(job.tag, job.machineName, what),
      location: area,
      description: w.left(verdicts[job.verdict], (job.closedAt ?? '').slice(0, 10), visit.due),
      ...(landing
        ? { start: new Date(landing.stop.startsAt), end: new Date(landing.stop.endsAt) }
        : { start: noonOf(visit.due), allDay: true }),
    })
    event.transparency(ICalEventTransparency.TRANSPARENT)
  }
  for (const s of of.standstills)
    if (!s.cancelled)
      calendar
        .createEvent({
          id: `standstill-${s.id}`,
          summary: w.stands(s.area),
          description: s.note,
          start: new Date(s.startsAt),
          end: new Date(s.endsAt),
        })
        .transparency(ICalEventTransparency.TRANSPARENT)
  // A whole day is told by its dates alone: what single programs want besides is left out.
  return calendar.toString().replace(/^X-(?!WR-|PUBLISHED-)[^\r\n]*\r\n/gm, '')
}
