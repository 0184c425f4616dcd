import { done, refused, type Outcome } from '../outcome'
import { studentQuantile } from '../statistics/studentT'
import type { Newtons } from '../units/unitSystem'

export interface DatedTension {
  /** Days since the belts were fitted. */
  readonly days: number
  readonly tension: Newtons
}

export type RunInModel =
  | { readonly kind: 'decay'; readonly settles: Newtons; readonly falls: Newtons; readonly tau: number }
  | { readonly kind: 'line'; readonly at0: Newtons; readonly perDay: Newtons }

export interface RunInForecast {
  readonly model: RunInModel
  /** Day the tension falls below the band; null when it never does by this forecast. */
  readonly leavesAt: number | null
  /** 95 % interval of that day; null from three points or fewer, and for a straight line. */
  readonly interval: readonly [number, number | null] | null
  readonly belowNow: boolean
  /** False where the gauge's repeat alone could make this fall. */
  readonly known: boolean
}

const FARTHEST_DAYS = 3650
/** Chi-square that noise alone exceeds once in twenty, for the one number of a slope and the two of a decay. */
const BY_CHANCE = { line: 3.841, decay: 5.991 } as const
/** Standard deviations beyond which a reading contradicts the curve, once in a hundred. */
const CONTRADICTS = 2.576

interface Weighed extends DatedTension {
  /** One over the variance of the reading. */
  readonly weight: number
}

const sum = (points: readonly Weighed[], of: (p: Weighed) => number): number =>
  points.reduce((s, p) => s + of(p), 0)

/** Linear part of `T = Tinf + a exp(-t/tau)` for one tau; a and Tinf held at zero or above. */
const fitForTau = (points: readonly Weighed[], tau: number) => {
  const e = (p: Weighed) => Math.exp(-p.days / tau)
  const n = sum(points, (p) => p.weight)
  const me = sum(points, (p) => p.weight * e(p)) / n
  const mt = sum(points, (p) => p.weight * p.tension) / n
  const see = sum(points, (p) => p.weight * (e(p) - me) ** 2)
  const set = sum(points, (p) => p.weight * (e(p) - me) * (p.tension - mt))
  let falls = see > 0 ? Math.max(0, set / see) : 0
  let settles = mt - falls * me
  if (settles < 0) {
    settles = 0
    falls = sum(points, (p) => p.weight * p.tension * e(p)) / sum(points, (p) => p.weight * e(p) ** 2)
  }
  const misses = points.map((p) => p.tension - settles - falls * e(p))
  const squares = points.reduce((s, p, i) => s + p.weight * (misses[i] as number) ** 2, 0)
  return { settles, falls, squares, misses }
}

/** Tension falls, and ever more slowly: the only shape a decay is fitted to where readings count as exact. */
const fallsEverSlower = (points: readonly DatedTension[]): boolean => {
  let before = -Infinity
  for (let i = 1; i < points.length; i++) {
    const a = points[i - 1] as DatedTension
    const b = points[i] as DatedTension
    const rate = (b.tension - a.tension) / (b.days - a.days)
    if (rate >= 0 || rate <= before) return false
    before = rate
  }
  return true
}

/** Best time constant: a coarse scan over five decades, then golden section. */
const bestTau = (points: readonly Weighed[], whole: number): number => {
  const squares = (log: number) => fitForTau(points, Math.exp(log)).squares
  const from = Math.log(whole / 200)
  const to = Math.log(whole * 50)
  const steps = 200
  let best = 0
  for (let i = 1; i <= steps; i++)
    if (squares(from + ((to - from) * i) / steps) < squares(from + ((to - from) * best) / steps)) best = i
  let low = from + ((to - from) * Math.max(0, best - 1)) / steps
  let high = from + ((to - from) * Math.min(steps, best + 1)) / steps
  const golden = (Math.sqrt(5) - 1) / 2
  for (let i = 0; i < 120; i++) {
    const a = high - golden * (high - low)
    const b = low + golden * (high - low)
    if (squares(a) < squares(b)) high = b
    else low = a
  }
  return Math.exp((low + high) / 2)
}

/** Whether the readings are flat as far as their repeat can tell: their own mean explains them. */
const explainedByNoise = (points: readonly Weighed[], squares: number, most: number): boolean => {
  const n = sum(points, (p) => p.weight)
  const mean = sum(points, (p) => p.weight * p.tension) / n
  return sum(points, (p) => p.weight * (p.tension - mean) ** 2) - squares < most
}

/**
 * When tension will leave its band: `T = Tinf + a exp(-t/tau)` by weighted least squares, kept unless a reading
 * contradicts it beyond the gauge's repeat; else a line through the last two. `repeat` is one reading's standard
 * deviation as a share of it; 0 takes readings as exact, and asks that three of them fall ever more slowly. Days,
 * newtons. Refuses fewer than two dates and dates out of order. Source: docs/methods/run-in.md.
 */
export const forecastRunIn = (
  points: readonly DatedTension[],
  lowest: Newtons,
  repeat = 0,
): Outcome<RunInForecast> => {
  const first = points[0]
  const last = points[points.length - 1]
  const previous = points[points.length - 2]
  if (!first || !last || !previous) return refused('times-not-rising', ['points'])
  for (let i = 1; i < points.length; i++)
    if (!((points[i] as DatedTension).days > (points[i - 1] as DatedTension).days))
      return refused('times-not-rising', ['points', i, 'days'])
  const spread = (tension: Newtons) => repeat * tension
  const weighed = points.map((p): Weighed => ({ ...p, weight: repeat > 0 ? spread(p.tension) ** -2 : 1 }))
  const belowNow = last.tension < lowest
  const soonest = (day: number | null) => (day === null ? null : Math.max(day, belowNow ? 0 : last.days))
  if (points.length >= 3 && (repeat > 0 || fallsEverSlower(points))) {
    const tau = bestTau(weighed, last.days - first.days)
    const { settles, falls, squares, misses } = fitForTau(weighed, tau)
    const contradicted =
      repeat > 0 &&
      misses.some((miss, i) => Math.abs(miss) > CONTRADICTS * spread((points[i] as DatedTension).tension))
    if (falls > 0 && !contradicted) {
      const crossing = (level: Newtons): number | null => {
        if (level <= settles) return null
        const day = -tau * Math.log((level - settles) / falls)
        return day > FARTHEST_DAYS ? null : day
      }
      const freedom = points.length - 3
      let interval: RunInForecast['interval'] = null
      const at = crossing(lowest)
      if (freedom >= 1 && at !== null) {
        const one = repeat > 0 ? spread(lowest) : Math.sqrt(squares / freedom)
        const half = studentQuantile(0.975, freedom) * one
        interval = [crossing(lowest + half) ?? at, crossing(lowest - half)]
      }
      return done({
        model: { kind: 'decay', settles, falls, tau },
        leavesAt: soonest(at),
        interval,
        belowNow,
        known: repeat === 0 || !explainedByNoise(weighed, squares, BY_CHANCE.decay),
      })
    }
  }
  const perDay = (last.tension - previous.tension) / (last.days - previous.days)
  const at0 = last.tension - perDay * last.days
  const day = perDay < 0 ? (lowest - at0) / perDay : null
  return done({
    model: { kind: 'line', at0, perDay },
    leavesAt: soonest(day !== null && day > FARTHEST_DAYS ? null : day),
    interval: null,
    belowNow,
    known: repeat === 0 || !explainedByNoise(weighed.slice(-2), 0, BY_CHANCE.line),
  })
}
