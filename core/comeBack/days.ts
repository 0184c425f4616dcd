/** A day of the calendar, YYYY-MM-DD, as the place counts it. */
export type Day = string

const two = (n: number): string => String(n).padStart(2, '0')

/** The day a moment falls on, by the calendar of the place. */
export const dayOf = (at: Date): Day =>
  `${String(at.getFullYear())}-${two(at.getMonth() + 1)}-${two(at.getDate())}`

const asDate = (day: Day): Date => {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number)
  return new Date(year, month - 1, date, 12)
}

/** So many days on; back where it is negative. */
export const addDays = (day: Day, days: number): Day => {
  const at = asDate(day)
  at.setDate(at.getDate() + days)
  return dayOf(at)
}

/** So many months on; the last of the month where the day is missing there. */
export const addMonths = (day: Day, months: number): Day => {
  const at = asDate(day)
  const date = at.getDate()
  at.setDate(1)
  at.setMonth(at.getMonth() + months)
  const last = new Date(at.getFullYear(), at.getMonth() + 1, 0).getDate()
  at.setDate(Math.min(date, last))
  return dayOf(at)
}

/** Days from one to the other; negative where the other is earlier. */
export const daysBetween = (from: Day, to: Day): number =>
  Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000)
