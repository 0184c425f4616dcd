import type { VerdictOrUnknown } from '../../core/judge/judge'
import type { JobFigure } from '../../core/jobs/summary'
import type { PastJob } from '../api/answers'

/** A figure as one job found or left it: as it lies, not counted from the target. Core units. */
export interface TrendPoint {
  readonly value: number
  readonly verdict: VerdictOrUnknown
}

/** One quantity in one job, with the band and target of its day. */
export interface TrendJob {
  readonly id: string
  /** Milliseconds. */
  readonly at: number
  readonly found: TrendPoint | null
  readonly left: TrendPoint | null
  readonly aim: number
  /** As they lie; null on an open side. */
  readonly low: number | null
  readonly high: number | null
}

/** What a name of a quantity is made of: `offset` of plane `v`; no plane for a size and for sheaves. */
export const splitName = (name: string): { readonly what: string; readonly plane: 'v' | 'h' | null } => {
  const at = /^(.*)\.([vh])$/.exec(name)
  return at?.[1] ? { what: at[1], plane: at[2] === 'v' ? 'v' : 'h' } : { what: name, plane: null }
}

/** Told by their own drawing, not over jobs alone. */
const TOLD_APART = ['belts.tension']

/** Quantities that these jobs judged, the newest job's own order first. */
export const judgedNames = (jobs: readonly PastJob[]): readonly string[] => {
  const judged = new Set(jobs.flatMap((j) => j.figures.map((f) => f.name)))
  const names = [...judged].filter((name) => !TOLD_APART.includes(name))
  const order = ['offset', 'slope', 'sheaves.offset', 'sheaves.turn', 'sheaves.tilt']
  const place = (name: string) => {
    const at = order.indexOf(splitName(name).what)
    return at < 0 ? order.length : at
  }
  // Of one quantity the vertical before the horizontal.
  return names.sort((a, b) => place(a) - place(b) || b.localeCompare(a))
}

const lies = (f: JobFigure | undefined): TrendPoint | null =>
  f ? { value: f.value + f.aim, verdict: f.verdict } : null

/** One quantity over the jobs that judged it, oldest first. */
export const trendOf = (jobs: readonly PastJob[], name: string): readonly TrendJob[] =>
  [...jobs].reverse().flatMap((j): readonly TrendJob[] => {
    const of = (moment: JobFigure['moment']) => j.figures.find((f) => f.name === name && f.moment === moment)
    const [found, left] = [of('as-found'), of('as-left')]
    // What was set off on the way holds at the end: the band is that of what was left.
    const ruling = left ?? found
    if (!ruling) return []
    const bound = (x: number | null) => (x === null ? null : x + ruling.aim)
    return [
      {
        id: j.id,
        at: Date.parse(j.closedAt),
        found: lies(found),
        left: lies(left),
        aim: ruling.aim,
        low: bound(ruling.low),
        high: bound(ruling.high),
      },
    ]
  })

/** The drawn range: every figure and every bound, with some room. */
export const rangeOf = (trend: readonly TrendJob[]): readonly [low: number, high: number] => {
  const all = trend.flatMap((t) =>
    [t.found?.value, t.left?.value, t.aim, t.low, t.high].filter((x): x is number => typeof x === 'number'),
  )
  const [low, high] = [Math.min(0, ...all), Math.max(0, ...all)]
  const room = (high - low || 1) * 0.12
  return [low - room, high + room]
}

export interface BandStep {
  readonly at: number
  readonly low: number
  readonly high: number
  readonly aim: number
}

/** The band as it held from one job to the next, up to `until`; an open side goes to the end of the range. */
export const bandSteps = (trend: readonly TrendJob[], until: number): readonly BandStep[] => {
  const [least, most] = rangeOf(trend)
  return trend.flatMap((t, i) => {
    const to = Math.max(trend[i + 1]?.at ?? until, t.at)
    const step = { low: t.low ?? least, high: t.high ?? most, aim: t.aim }
    return [
      { at: t.at, ...step },
      { at: to, ...step },
    ]
  })
}
