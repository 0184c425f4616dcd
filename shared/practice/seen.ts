import { HABITS, type Habit } from '../../core/practice/habits'
import type { PracticeResult } from './result'

/** How often somebody did a thing well, of the last times it came up; the latest last. */
export interface HabitTold {
  readonly habit: Habit
  readonly times: readonly boolean[]
  readonly well: number
}

/** Times that are told of. */
const LAST = 9

/** Habits that came up, those that went worst first. Results with the newest first. */
export const habitsSeen = (results: readonly Pick<PracticeResult, 'habits'>[]): readonly HabitTold[] => {
  const all = [...results].reverse().flatMap((r) => r.habits)
  return HABITS.flatMap((habit): HabitTold[] => {
    const times = all
      .filter((h) => h.habit === habit)
      .slice(-LAST)
      .map((h) => h.well)
    return times.length > 0 ? [{ habit, times, well: times.filter(Boolean).length }] : []
  }).sort((a, b) => a.well / a.times.length - b.well / b.times.length)
}
