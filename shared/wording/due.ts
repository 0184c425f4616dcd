import { closingWords } from './en'
import dayjs from 'dayjs'
import { urgencyOf, type DueFor, type NextDue } from '../../core/stages/close/due'
import type { Telling } from './telling'

const day = (on: string) => dayjs(on).format('D MMM YYYY')

/** What it is looked at again for. */
export const dueFor = (
  due: { readonly what: DueFor; readonly words: string },
  { words }: Pick<Telling, 'words'>,
) => (due.words === '' ? closingWords(words).due.what[due.what] : due.words)

/** When to come back, in one sentence. */
export const dueWords = (due: NextDue, telling: Pick<Telling, 'words'>): string =>
  closingWords(telling.words).due.again(day(due.on), dueFor(due, telling).toLowerCase())

/** How it stands today: overdue since, or due. */
export const urgencyWords = (on: string, today: string, { words }: Pick<Telling, 'words'>): string => {
  const w = closingWords(words).due
  return urgencyOf(on, today) === 'overdue' ? w.overdue(day(on)) : w.dueOn(day(on))
}
