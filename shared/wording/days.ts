import { daysWords } from './en'
import type { Telling } from './telling'

/** The day of a moment where it is told, as 3 Mar 2026. */
export const dayWords = (moment: string | number, { words }: Pick<Telling, 'words'>): string => {
  const at = new Date(moment)
  const w = daysWords(words)
  return w.day(at.getDate(), w.months[at.getMonth()] ?? '', at.getFullYear())
}

/** The time of a moment where it is told, as 07:05. */
export const timeWords = (moment: string | number | Date): string => {
  const at = new Date(moment)
  return [at.getHours(), at.getMinutes()].map((n) => String(n).padStart(2, '0')).join(':')
}

/** A moment as one says it on its own day: 07:05; on any other day with the day before it. */
export const momentWords = (
  moment: string | number,
  telling: Pick<Telling, 'words'>,
  now: string | number = Date.now(),
): string =>
  dayWords(moment, telling) === dayWords(now, telling)
    ? timeWords(moment)
    : `${dayWords(moment, telling)}, ${timeWords(moment)}`
