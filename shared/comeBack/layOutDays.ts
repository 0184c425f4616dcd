import { addDays, dayOf, type Day } from '../../core/comeBack/days'
import type { DueVisit } from '../api/answers'
import type { StandstillRecord } from './standstill'

/** How a visit stands in its day: it lands on a stop, it asks for one, or its day has passed and it asks for one. */
export type VisitStands = 'lands' | 'asks' | 'late'

export interface LaidDay {
  readonly day: Day
  readonly visits: readonly { readonly visit: DueVisit; readonly stands: VisitStands }[]
  readonly stops: readonly StandstillRecord[]
}

/** The day a visit is drawn on: that of its stop, else its own; what is overdue and lands nowhere stands on today. */
export const placeOf = (visit: DueVisit, today: Day): { readonly day: Day; readonly stands: VisitStands } => {
  if (visit.landing) {
    const day = dayOf(new Date(visit.landing.stop.startsAt))
    return { day: day < today ? today : day, stands: 'lands' }
  }
  return visit.due < today ? { day: today, stands: 'late' } : { day: visit.due, stands: 'asks' }
}

/** Days that a stop covers; one that ends at midnight does not cover the day that begins then. */
const covers = (s: StandstillRecord, day: Day): boolean =>
  dayOf(new Date(s.startsAt)) <= day && day <= dayOf(new Date(Date.parse(s.endsAt) - 1))

/** So many days from one on, with what is due on each and which halls stand. */
export const layOutDays = (
  from: Day,
  count: number,
  visits: readonly DueVisit[],
  standstills: readonly StandstillRecord[],
  now: Date,
): readonly LaidDay[] => {
  const today = dayOf(now)
  const placed = visits.map((visit) => ({ visit, ...placeOf(visit, today) }))
  return Array.from({ length: count }, (_, i) => {
    const day = addDays(from, i)
    return {
      day,
      visits: placed.filter((p) => p.day === day).map(({ visit, stands }) => ({ visit, stands })),
      stops: standstills.filter((s) => !s.cancelled && covers(s, day)),
    }
  })
}
