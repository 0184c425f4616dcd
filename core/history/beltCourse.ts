import { forecastRunIn, type RunInForecast } from '../belt/runIn'
import type { JobFigure } from '../jobs/summary'
import type { VerdictOrUnknown } from '../judge/judge'
import type { Newtons } from '../units/unitSystem'

/** One standard deviation of one belt's reading, as a share of it (docs/methods/run-in.md). Starting value. */
export const GAUGE_REPEAT = 0.03
const DAY = 86_400_000

/** A closed job as its course is told from it. */
export interface CourseJob {
  readonly openedAt: string
  readonly closedAt: string
  readonly figures: readonly JobFigure[]
  readonly belts: { readonly fitted: boolean; readonly pulled: boolean }
}

/** One reading of the set: static tension a belt. */
export interface CoursePoint {
  /** Milliseconds. */
  readonly at: number
  readonly tension: Newtons
  readonly low: Newtons | null
  readonly high: Newtons | null
  readonly verdict: VerdictOrUnknown
}

/** What becomes of the set from its last tensioning on. */
export interface BeltForecast {
  /** Where the days of the model count from, milliseconds. */
  readonly from: number
  readonly lowest: Newtons
  readonly found: RunInForecast
  /** When the band is left; null when it never is by this forecast. */
  readonly leavesAt: number | null
  readonly between: readonly [number, number | null] | null
}

export interface BeltCourse {
  /** Every reading, oldest first; a job that changed the tension gives two. */
  readonly points: readonly CoursePoint[]
  /** Those since the tension was changed last. */
  readonly since: readonly CoursePoint[]
  /** New belts came on then. */
  readonly newThen: boolean
  /** Null with fewer than two readings since, and without a band. */
  readonly forecast: BeltForecast | null
}

const NAME = 'belts.tension'

const pointOf = (job: CourseJob, moment: JobFigure['moment'], at: string): CoursePoint | null => {
  const figure = job.figures.find((f) => f.name === NAME && f.moment === moment)
  return figure
    ? {
        at: Date.parse(at),
        tension: figure.value,
        low: figure.low,
        high: figure.high,
        verdict: figure.verdict,
      }
    : null
}

/** Of the mean of so many belts, each read by itself. */
export const repeatOfMean = (belts: number): number => GAUGE_REPEAT / Math.sqrt(Math.max(1, belts))

/**
 * How the tension of a set went over the jobs of its machine, newest first, and when it will leave its band. A job
 * that changed the tension begins anew; one that only read it goes on. Null where no job read it.
 */
export const beltCourse = (jobs: readonly CourseJob[], repeat: number): BeltCourse | null => {
  const points: CoursePoint[] = []
  let since: CoursePoint[] = []
  let newThen = false
  for (const job of [...jobs].reverse()) {
    const found = pointOf(job, 'as-found', job.openedAt)
    const left = pointOf(job, 'as-left', job.closedAt)
    const changed = job.belts.fitted || job.belts.pulled
    const read = found ? [found] : []
    if (changed) {
      points.push(...read, ...(left ? [left] : []))
      since = left ? [left] : []
      newThen = job.belts.fitted
    } else {
      points.push(...read)
      since.push(...read)
    }
  }
  if (points.length === 0) return null
  return { points, since, newThen, forecast: forecastOf(since, repeat) }
}

const forecastOf = (since: readonly CoursePoint[], repeat: number): BeltForecast | null => {
  const first = since[0]
  const lowest = since[since.length - 1]?.low ?? null
  if (!first || since.length < 2 || lowest === null) return null
  const dated = since.map((p) => ({ days: (p.at - first.at) / DAY, tension: p.tension }))
  const outcome = forecastRunIn(dated, lowest, repeat)
  if (!outcome.ok) return null
  const found = outcome.value
  const at = (days: number) => first.at + days * DAY
  return {
    from: first.at,
    lowest,
    found,
    leavesAt: found.leavesAt === null ? null : at(found.leavesAt),
    between: found.interval && [
      at(found.interval[0]),
      found.interval[1] === null ? null : at(found.interval[1]),
    ],
  }
}

/** When the set leaves its band, the likeliest moment and the earliest; null where that is not yet known, or it never does. */
export const leavingOf = (
  course: BeltCourse | null,
): { readonly earliest: number; readonly likely: number } | null => {
  const forecast = course?.forecast
  if (!forecast || !forecast.found.known || forecast.leavesAt === null) return null
  const { leavesAt, between } = forecast
  return { likely: leavesAt, earliest: Math.min(leavesAt, between?.[0] ?? leavesAt) }
}

/** Tension by a forecast's model at a moment. */
export const forecastAt = ({ from, found: { model } }: BeltForecast, at: number): Newtons => {
  const days = (at - from) / DAY
  return model.kind === 'decay'
    ? model.settles + model.falls * Math.exp(-days / model.tau)
    : Math.max(0, model.at0 + model.perDay * days)
}
