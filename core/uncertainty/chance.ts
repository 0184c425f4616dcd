import type { Misalignment } from '../frame/planes'
import { judgedQuantities, type JudgedTerm } from '../judge/quantities'
import type { SettledTolerance } from '../judge/tolerance'
import { seededRandom, normalFrom } from '../random/random'
import { normalBetween, normalDensity } from '../statistics/normal'
import type { LineCovariance } from './linear'

/** Even, for Simpson's rule. */
const STEPS = 48
const REACH = 7
const VECTOR_DRAWS = 4000

/** Mean and spread of one judged term. */
interface Spreading {
  readonly mean: number
  readonly term: JudgedTerm
  readonly low: number
  readonly high: number
}

const factorsOf = (term: JudgedTerm): readonly [number, number, number, number] =>
  term.plane === 'v'
    ? [term.offsetFactor, 0, term.slopeFactor, 0]
    : [0, term.offsetFactor, 0, term.slopeFactor]

const covarianceOf = (a: JudgedTerm, b: JudgedTerm, c: LineCovariance): number => {
  const x = factorsOf(a)
  const y = factorsOf(b)
  let sum = 0
  for (let i = 0; i < 4; i++)
    for (let j = 0; j < 4; j++) sum += (x[i] as number) * (y[j] as number) * (c[4 * i + j] as number)
  return sum
}

/** Variance of a judged term of a line with this covariance. */
export const termVariance = (term: JudgedTerm, c: LineCovariance): number => covarianceOf(term, term, c)

/** Chance that two jointly normal values lie in their bands: one integrated, the other given it. */
const chanceOfTwo = (a: Spreading, b: Spreading, va: number, vb: number, cov: number): number => {
  const sa = Math.sqrt(va)
  if (sa < 1e-15) {
    const inside = a.mean >= a.low - 1e-12 && a.mean <= a.high + 1e-12
    return inside ? chanceOfOne(b, vb) : 0
  }
  const slope = cov / va
  const left = Math.sqrt(Math.max(0, vb - slope * cov))
  const inside = (z: number): number => {
    const mean = b.mean + slope * sa * z
    if (left < 1e-15) return mean >= b.low - 1e-12 && mean <= b.high + 1e-12 ? 1 : 0
    return normalBetween((b.low - mean) / left, (b.high - mean) / left)
  }
  // Only where the first value is inside its own band; smooth there, so that Simpson's rule serves.
  const from = Math.max(-REACH, (a.low - a.mean) / sa)
  const to = Math.min(REACH, (a.high - a.mean) / sa)
  if (from >= to) return 0
  const step = (to - from) / STEPS
  let sum = 0
  for (let i = 0; i <= STEPS; i++) {
    const z = from + i * step
    const weight = i === 0 || i === STEPS ? 1 : i % 2 === 1 ? 4 : 2
    sum += weight * normalDensity(z) * inside(z)
  }
  return Math.min(1, (sum * step) / 3)
}

const chanceOfOne = (a: Spreading, variance: number): number => {
  const sd = Math.sqrt(variance)
  if (sd < 1e-15) return a.mean >= a.low - 1e-12 && a.mean <= a.high + 1e-12 ? 1 : 0
  return normalBetween((a.low - a.mean) / sd, (a.high - a.mean) / sd)
}

/**
 * Chance that every judged quantity lies in its band when the line is spread normally about
 * `line`. Planes are taken as independent in plane mode (integrated), together in vector mode
 * (a fixed seeded sample). For live display; Monte Carlo says it for large errors.
 */
export const chanceInBand = (
  line: Misalignment,
  covariance: LineCovariance,
  tolerance: SettledTolerance,
  target: Misalignment,
): number => {
  const quantities = judgedQuantities(tolerance)
  const spreading = (term: JudgedTerm): Spreading => {
    const value = (part: 'offset' | 'slope') =>
      (line[part][term.plane] ?? 0) - (term.fromTarget ? (target[part][term.plane] ?? 0) : 0)
    return {
      term,
      mean: term.offsetFactor * value('offset') + term.slopeFactor * value('slope'),
      low: term.band[0] ?? -Infinity,
      high: term.band[1] ?? Infinity,
    }
  }
  if (quantities.every((q) => q.terms.length === 1)) {
    let chance = 1
    for (const plane of ['v', 'h'] as const) {
      const terms = quantities.map((q) => q.terms[0] as JudgedTerm).filter((t) => t.plane === plane)
      const [a, b] = terms.map(spreading)
      if (!a) continue
      const va = covarianceOf(a.term, a.term, covariance)
      chance *= b
        ? chanceOfTwo(
            a,
            b,
            va,
            covarianceOf(b.term, b.term, covariance),
            covarianceOf(a.term, b.term, covariance),
          )
        : chanceOfOne(a, va)
    }
    return chance
  }
  const root = choleskyRoot(covariance)
  const normal = normalFrom(seededRandom(20))
  const z = new Float64Array(4)
  let inside = 0
  for (let n = 0; n < VECTOR_DRAWS; n++) {
    for (let i = 0; i < 4; i++) z[i] = normal()
    const error = (i: number) => {
      let sum = 0
      for (let j = 0; j <= i; j++) sum += (root[4 * i + j] as number) * (z[j] as number)
      return sum
    }
    const e = [error(0), error(1), error(2), error(3)]
    const all = quantities.every((q) => {
      const parts = q.terms.map((t) => {
        const f = factorsOf(t)
        return spreading(t).mean + f.reduce((s, x, i) => s + x * (e[i] as number), 0)
      })
      return Math.hypot(...parts) <= ((q.terms[0] as JudgedTerm).band[1] ?? Infinity)
    })
    if (all) inside++
  }
  return inside / VECTOR_DRAWS
}

/** Lower triangular root of a 4 x 4 covariance; a direction without spread gets zeros. */
export const choleskyRoot = (c: LineCovariance): Float64Array => {
  const root = new Float64Array(16)
  for (let i = 0; i < 4; i++)
    for (let j = 0; j <= i; j++) {
      let sum = c[4 * i + j] as number
      for (let k = 0; k < j; k++) sum -= (root[4 * i + k] as number) * (root[4 * j + k] as number)
      const diagonal = root[5 * j] as number
      root[4 * i + j] = i === j ? Math.sqrt(Math.max(0, sum)) : diagonal > 1e-15 ? sum / diagonal : 0
    }
  return root
}
