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
}

const FARTHEST_DAYS = 3650

/** Linear part of `T = Tinf + a exp(-t/tau)` for one tau, Tinf held at zero or above. */
const fitForTau = (points: readonly DatedTension[], tau: number) => {
  const e = points.map((p) => Math.exp(-p.days / tau))
  const n = points.length
  const me = e.reduce((s, x) => s + x, 0) / n
  const mt = points.reduce((s, p) => s + p.tension, 0) / n
  let see = 0
  let set = 0
  e.forEach((x, i) => {
    see += (x - me) ** 2
    set += (x - me) * ((points[i] as DatedTension).tension - mt)
  })
  let falls = see > 0 ? set / see : 0
  let settles = mt - falls * me
  if (settles < 0) {
    settles = 0
    const ee = e.reduce((s, x) => s + x * x, 0)
    falls = points.reduce((s, p, i) => s + p.tension * (e[i] as number), 0) / ee
  }
  const squares = points.reduce((s, p, i) => s + (p.tension - settles - falls * (e[i] as number)) ** 2, 0)
  return { settles, falls, squares }
}

/** Tension falls, and ever more slowly: the only shape a decay may be fitted to. */
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
const bestTau = (points: readonly DatedTension[], whole: number): number => {
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

/**
 * When tension will leave its band: `T = Tinf + a exp(-t/tau)` where at least three tensions fall
 * ever more slowly, else a line through the last two. Days, newtons. Refuses fewer than two dates
 * and dates out of order. Source: docs/methods/run-in.md.
 */
export const forecastRunIn = (points: readonly DatedTension[], lowest: Newtons): Outcome<RunInForecast> => {
  for (let i = 1; i < points.length; i++)
    if (!((points[i] as DatedTension).days > (points[i - 1] as DatedTension).days))
      return refused('times-not-rising', ['points', i, 'days'])
  const last = points[points.length - 1] as DatedTension
  const previous = points[points.length - 2] as DatedTension
  const belowNow = last.tension < lowest
  const soonest = (day: number | null) => (day === null ? null : Math.max(day, belowNow ? 0 : last.days))
  if (points.length >= 3 && fallsEverSlower(points)) {
    const tau = bestTau(points, last.days - (points[0] as DatedTension).days)
    const { settles, falls, squares } = fitForTau(points, tau)
    if (falls > 0) {
      const crossing = (level: Newtons): number | null => {
        if (level <= settles) return null
        const day = -tau * Math.log((level - settles) / falls)
        return day > FARTHEST_DAYS ? null : day
      }
      const freedom = points.length - 3
      let interval: RunInForecast['interval'] = null
      const at = crossing(lowest)
      if (freedom >= 1 && at !== null) {
        const half = studentQuantile(0.975, freedom) * Math.sqrt(squares / freedom)
        interval = [crossing(lowest + half) ?? at, crossing(lowest - half)]
      }
      return done({
        model: { kind: 'decay', settles, falls, tau },
        leavesAt: soonest(at),
        interval,
        belowNow,
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
  })
}
