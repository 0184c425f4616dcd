import { closingWords, comeBackWords } from './en'
import dayjs from 'dayjs'
import { daysBetween, dayOf } from '../../core/comeBack/days'
import { daysForHours, type DueByRule } from '../../core/comeBack/rules'
import type { DueVisit } from '../api/answers'
import { dueFor } from './due'
import type { Telling } from './telling'

type Words = Pick<Telling, 'words'>

/** `By the works’ rule: 6 months.` */
export const ruleWords = ({ from, rule }: DueByRule, { words }: Words): string => {
  const w = comeBackWords(words).rule
  const told =
    rule.by === 'days'
      ? w.days(rule.days)
      : rule.by === 'running'
        ? w.running(rule.hours)
        : rule.by === 'months'
          ? w.months(rule.months)
          : w.hours(
              rule.hours,
              rule.hoursPerWeek,
              Math.round(daysForHours(rule.hours, rule.hoursPerWeek) / 7),
            )
  return w.from[from](told)
}

/** What a machine is come back to for. */
export const visitWords = ({ job }: Pick<DueVisit, 'job'>, telling: Words): string =>
  job.summary.due ? dueFor(job.summary.due, telling) : closingWords(telling.words).due.what.regular

/** `06:00–14:00`. */
export const hoursWords = (
  s: { readonly startsAt: string; readonly endsAt: string },
  { words }: Words,
): string =>
  comeBackWords(words).stops.hours(dayjs(s.startsAt).format('HH:mm'), dayjs(s.endsAt).format('HH:mm'))

/** Which stop it lands on and how far that is from its day; or that one is to be asked for. */
export const landingWords = (
  { landing, due }: Pick<DueVisit, 'landing' | 'due'>,
  telling: Words,
  now: Date,
): string => {
  const w = comeBackWords(telling.words)
  if (!landing) return w.asks
  const { stop, late } = landing
  const when = `${dayjs(stop.startsAt).format('ddd D MMM')}, ${hoursWords(stop, telling)}`
  // What is overdue is late anyway: it is said beside it.
  if (late === 0 || due < dayOf(now)) return w.lands(when)
  return late > 0 ? w.landsLate(when, late) : w.landsEarly(when, -late)
}

/** `3 days over`, `in 12 days`. */
export const waitWords = (due: string, now: Date, { words }: Words): string => {
  const late = daysBetween(due, dayOf(now))
  return late > 0 ? comeBackWords(words).late(late) : comeBackWords(words).inDays(-late)
}
