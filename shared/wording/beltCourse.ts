import dayjs from 'dayjs'
import { GAUGE_REPEAT, type BeltCourse } from '../../core/history/beltCourse'
import { beltCourseWords } from './en'
import { forceFigure, percent } from './forces'
import type { Telling } from './telling'

const day = (at: number) => dayjs(at).format('D MMM YYYY')
const A_DAY = 1

/** A stretch of days as it is said: `9 hours`, `4 days`, `5 weeks`. */
const stretch = (days: number): string => {
  if (days < A_DAY) return `${String(Math.max(1, Math.round(days * 24)))} h`
  return days < 21 ? `${days.toFixed(days < 10 ? 1 : 0)} days` : `${String(Math.round(days / 7))} weeks`
}

/** When the set will leave its band, or why that is not yet known; sentence by sentence. */
export const courseWords = (
  course: BeltCourse,
  telling: Pick<Telling, 'words' | 'units'>,
): readonly string[] => {
  const w = beltCourseWords(telling.words).says
  const { forecast, since } = course
  const last = course.points[course.points.length - 1]
  if (!forecast) return [since.length < 2 ? w.one(day(since[0]?.at ?? last?.at ?? 0)) : w.noBand]
  const { found, leavesAt, between } = forecast
  const repeat = w.repeat(percent(GAUGE_REPEAT))
  if (found.belowNow) return [w.below]
  if (!found.known) return [w.noise, repeat]
  const { model } = found
  if (model.kind === 'line') return [leavesAt === null ? w.rises : w.line(day(leavesAt)), repeat]
  const settles = forceFigure(model.settles, telling.units, true)
  if (leavesAt === null) return [w.stays(settles, stretch(model.tau)), repeat]
  return [
    w.leaves(day(leavesAt), settles),
    ...(between
      ? [between[1] === null ? w.betweenOpen(day(between[0])) : w.between(day(between[0]), day(between[1]))]
      : []),
    repeat,
  ]
}
