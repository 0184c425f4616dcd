import { daysBetween, dayOf, type Day } from './days'

/** A time in which a hall stands, as it was planned. */
export interface Standstill {
  readonly id: string
  /** ISO moments. */
  readonly startsAt: string
  readonly endsAt: string
}

/** The stop that due work lands on, and how many days behind its day that is; before it where negative. */
export interface Landing<S extends Standstill = Standstill> {
  readonly stop: S
  readonly late: number
}

/** Due work waits no longer for a stop than this, and comes no earlier (docs/come-back.md). */
export const WITHIN_DAYS = 7

/**
 * Where work lands that is due on a day: on the last stop of its hall within a week before it, else on the
 * first within a week behind it. What is overdue lands on the next stop within a week from today. Null where
 * none comes: a stop is to be asked for. Stops that are over are never landed on.
 */
export const landOn = <S extends Standstill>(due: Day, now: Date, stops: readonly S[]): Landing<S> | null => {
  const today = dayOf(now)
  const overdue = due < today
  const wanted = overdue ? today : due
  const near = stops
    .filter((s) => Date.parse(s.endsAt) > now.getTime())
    .map((stop) => ({ stop, late: daysBetween(wanted, dayOf(new Date(stop.startsAt))) }))
    .filter(({ late }) => Math.abs(late) <= WITHIN_DAYS)
    .sort((a, b) => a.stop.startsAt.localeCompare(b.stop.startsAt))
  // One under way counts as today, whenever it began.
  const early = near.filter(({ late }) => late <= 0)
  const best = overdue ? near[0] : (early[early.length - 1] ?? near[0])
  return best ? { stop: best.stop, late: daysBetween(due, dayOf(new Date(best.stop.startsAt))) } : null
}

/** How far behind its day it is, against its own interval: a day late of one is 1. Negative before it is due. */
export const latenessOf = (closed: Day, due: Day, today: Day): number =>
  daysBetween(due, today) / Math.max(1, daysBetween(closed, due))
