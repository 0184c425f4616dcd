import dayjs from 'dayjs'
import type { TodayAnswer } from '../api/answers'
import { beltCourseWords } from './en'
import type { Telling } from './telling'

/** When belts leave their band, and whether somebody comes before that. Days as the works counts them. */
export const leavingWords = (
  { earliest, leavesAt, due }: Pick<TodayAnswer['leaving'][number], 'earliest' | 'leavesAt' | 'due'>,
  { words }: Pick<Telling, 'words'>,
  today: string,
): { readonly what: string; readonly beside: string } => {
  const w = beltCourseWords(words).today
  const day = (at: string) => dayjs(at).format('D MMM YYYY')
  const leaves = dayjs(leavesAt).format('YYYY-MM-DD')
  return {
    what:
      leaves <= today
        ? w.left
        : dayjs(earliest).format('YYYY-MM-DD') < leaves
          ? w.between(day(leavesAt), day(earliest))
          : w.about(day(leavesAt)),
    beside: due === null ? w.notDue : due > leaves ? w.late(day(due)) : w.due(day(due)),
  }
}
