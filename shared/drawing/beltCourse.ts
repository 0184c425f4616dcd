import { forecastAt, type BeltCourse } from '../../core/history/beltCourse'
import type { Newtons } from '../../core/units/unitSystem'

/** What is drawn of a set's course besides its readings: moments in milliseconds, newtons. */
export interface CourseDrawn {
  readonly from: number
  readonly to: number
  readonly curve: readonly { readonly at: number; readonly tension: Newtons }[]
  /** The band as it held from one reading to the next. */
  readonly bands: readonly { readonly at: number; readonly low: Newtons; readonly high: Newtons }[]
  /** When the band is left; null where that is not known or beyond the sheet. */
  readonly leaves: number | null
  readonly least: Newtons
  readonly greatest: Newtons
}

const DAY = 86_400_000
const STEPS = 40

/** Lays a course out from its first reading to today and some way on, as far as its forecast goes there. */
export const drawCourse = ({ points, forecast }: BeltCourse, now: number): CourseDrawn => {
  const first = points[0]?.at ?? now
  const last = points[points.length - 1]?.at ?? first
  const span = Math.max(DAY, last - first)
  const ends = Math.max(now, last + span * 0.15, Math.min(forecast?.leavesAt ?? 0, last + span))
  const drawn = forecast && (forecast.found.known || forecast.found.belowNow) ? forecast : null
  const all = points.flatMap((p) => [p.tension, p.low ?? p.tension, p.high ?? p.tension])
  return {
    from: first - span * 0.05,
    to: ends + span * 0.03,
    curve: drawn
      ? Array.from({ length: STEPS + 1 }, (_, i) => {
          const at = Math.round(drawn.from + ((ends - drawn.from) * i) / STEPS)
          return { at, tension: forecastAt(drawn, at) }
        })
      : [],
    bands: points.flatMap((p, i) => {
      if (p.low === null || p.high === null) return []
      const band = { low: p.low, high: p.high }
      return [
        { at: p.at, ...band },
        { at: Math.max(p.at, (points[i + 1]?.at ?? ends) - 1), ...band },
      ]
    }),
    leaves: drawn?.found.known && drawn.leavesAt !== null && drawn.leavesAt <= ends ? drawn.leavesAt : null,
    least: Math.min(...all),
    greatest: Math.max(...all),
  }
}
