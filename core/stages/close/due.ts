import { daysBetween } from '../../comeBack/days'
import type { OnlyFor } from '../../register/drive'

/** What a machine is looked at again for. */
export const DUE_FOR = [
  'hot-check',
  'first-weeks',
  'belts-hour',
  'belts-day',
  'belts-week',
  'regular',
  'other',
] as const
/** What only some kinds of drive are come back to for. */
export const DUE_ONLY_FOR: OnlyFor<DueFor> = {
  'hot-check': ['coupled'],
  'belts-hour': ['belt'],
  'belts-day': ['belt'],
  'belts-week': ['belt'],
}
export type DueFor = (typeof DUE_FOR)[number]

/** When to come back, as it was signed. */
export interface NextDue {
  /** YYYY-MM-DD. */
  readonly on: string
  readonly what: DueFor
  readonly words: string
}

/** What to come back for next: a hot check where the target waits for one, the first weeks of what was moved, else the regular look. */
export const dueAdvised = (job: { readonly provisional: boolean; readonly moved: boolean }): DueFor =>
  job.provisional ? 'hot-check' : job.moved ? 'first-weeks' : 'regular'

/** How urgent a day is: it has passed, it comes within a fortnight, or it is further off. Days as YYYY-MM-DD. */
export const urgencyOf = (on: string, today: string): 'overdue' | 'soon' | 'later' => {
  const days = daysBetween(today, on)
  return days < 0 ? 'overdue' : days <= 14 ? 'soon' : 'later'
}

/**
 * What belts are come back to for: new ones after an hour, a day and a week, whichever was not read yet; those that
 * have bedded in after the first weeks of a move, else at the regular look. `age` in days since they were fitted, null where nobody knows.
 */
export const dueOfBelts = (belts: {
  readonly newHere: boolean
  /** Read once more after they ran in this job. */
  readonly readAfterRun: boolean
  readonly age: number | null
  /** The motor was moved or its belts turned in this job. */
  readonly moved: boolean
}): DueFor => {
  if (belts.newHere) return belts.readAfterRun ? 'belts-day' : 'belts-hour'
  if (belts.age === null || belts.age >= 7) return belts.moved ? 'first-weeks' : 'regular'
  return belts.age === 0 ? 'belts-day' : 'belts-week'
}
