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

/** Days after the closing: starting values, the works' own rule goes before them (docs/stages/close.md). */
export const DUE_AFTER_DAYS: Readonly<Record<DueFor, number>> = {
  'hot-check': 14,
  'first-weeks': 28,
  regular: 365,
  other: 30,
}

/** What to come back for next: a hot check where the target waits for one, the first weeks of what was moved, else the regular look. */
export const dueAdvised = (job: { readonly provisional: boolean; readonly moved: boolean }): DueFor =>
  job.provisional ? 'hot-check' : job.moved ? 'first-weeks' : 'regular'

const DAY = 86_400_000

/** The day it is due when it is closed now, YYYY-MM-DD by the calendar of the place. */
export const dueDay = (what: DueFor, now: Date): string => {
  const at = new Date(now.getTime() + DUE_AFTER_DAYS[what] * DAY)
  const two = (n: number) => String(n).padStart(2, '0')
  return `${String(at.getFullYear())}-${two(at.getMonth() + 1)}-${two(at.getDate())}`
}

/** How urgent a day is: it has passed, it comes within a fortnight, or it is further off. Days as YYYY-MM-DD. */
export const urgencyOf = (on: string, today: string): 'overdue' | 'soon' | 'later' => {
  const days = Math.round((Date.parse(on) - Date.parse(today)) / DAY)
  return days < 0 ? 'overdue' : days <= 14 ? 'soon' : 'later'
}
