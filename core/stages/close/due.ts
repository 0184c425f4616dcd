import { daysBetween } from '../../comeBack/days'

/** What a machine is looked at again for. */
export const DUE_FOR = ['hot-check', 'first-weeks', 'regular', 'other'] as const
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
