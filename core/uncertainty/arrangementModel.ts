import { joinPlaneInto, type DialArrangement, type DialCircle, type Join } from '../coupling/dialCircle'
import { fitHarmonic } from '../fit/harmonicFit'
import { clockVector } from '../frame/clock'
import { circleWeights, type CircleWeights } from '../fit/circleSolver'
import type { Spread } from './spread'

/** One circle prepared for many solutions: amplitudes as found, and how their errors spread. */
export interface CircleModel {
  readonly weights: CircleWeights
  /** Cosine and sine amplitude as found; sag still in. */
  readonly cos: number
  readonly sin: number
  readonly sag: number
  /** Share of a reading's standard deviation in each reading here: less than 1 for a mean of two dials. */
  readonly readingShare: number
  /** Share of one bar's sag error in the sag: 0 for instruments without a bar. */
  readonly sagShare: number
  readonly lever: number
  /** Change of the lever per millimetre of error in taping a swing diameter; 0 for a position. */
  readonly leverPerDiameter: number
  readonly plane: number
  /** How errors of a still hub's run-out readings spread over both amplitudes, per unit of their variance. */
  readonly hubCovariance: readonly [cosVariance: number, covariance: number, sinVariance: number]
  /** How errors of two taped hub radii spread over both amplitudes, per unit of a distance's variance. */
  readonly radiiCovariance: readonly [cosVariance: number, covariance: number, sinVariance: number]
  /** 1 where a still hub's run-out is in the readings unmeasured. */
  readonly hubUnknown: 0 | 1
  /** 1 where the plane was taped, 0 where it is the coupling centre itself or there is none. */
  readonly planeCounts: 0 | 1
  /** Change of each reading per radian of clock angle. */
  readonly perRadian: Float64Array
  readonly clocks: Float64Array
  /** Value of the first harmonic at each reading, and a quarter turn on: what a turn makes of it. */
  readonly turned: Float64Array
  readonly quarter: Float64Array
}

/** An arrangement prepared for many solutions. */
export interface ArrangementModel {
  readonly arrangement: DialArrangement
  readonly circles: readonly [CircleModel, CircleModel]
}

const hubCovariance = (
  { cos, sin }: CircleWeights,
  hub: DialCircle['stillHub'],
): CircleModel['hubCovariance'] => {
  if (hub === undefined || hub === 'unknown') return [0, 0, 0]
  let [aa, ab, bb] = [0, 0, 0]
  for (let j = 0; j < (hub.weights[0]?.length ?? 0); j++) {
    let [a, b] = [0, 0]
    hub.weights.forEach((row, i) => {
      a += (cos[i] as number) * (row[j] ?? 0)
      b += (sin[i] as number) * (row[j] ?? 0)
    })
    aa += a * a
    ab += a * b
    bb += b * b
  }
  return [aa, ab, bb]
}

/** One circle prepared; null when it can't be fitted. */
export const circleModel = (circle: DialCircle): CircleModel | null => {
  const fit = fitHarmonic(circle.readings)
  if (!fit.ok) return null
  const cos = fit.value.cos ?? 0
  const sin = fit.value.sin ?? 0
  const dials = circle.dials ?? 1
  const weights = circleWeights(circle.readings)
  return {
    weights,
    cos,
    sin,
    readingShare: 1 / Math.sqrt(dials),
    sag: circle.sag,
    sagShare: Math.sqrt(circle.bars ?? 0) / dials,
    lever: circle.lever,
    // Two diameters taped apart: their mean errs by less than either.
    leverPerDiameter: circle.reads === 'slope' ? Math.sign(circle.lever) / 2 / Math.sqrt(dials) : 0,
    hubCovariance: hubCovariance(weights, circle.stillHub),
    radiiCovariance: [0, 0, 0],
    hubUnknown: circle.stillHub === 'unknown' ? 1 : 0,
    plane: circle.plane,
    planeCounts: circle.reads === 'position' && !circle.atCentre ? 1 : 0,
    perRadian: Float64Array.from(circle.readings, (r) => {
      const [c, s] = clockVector(r.clock)
      return -cos * s + sin * c
    }),
    clocks: Float64Array.from(circle.readings, (r) => (r.clock * Math.PI) / 180),
    turned: Float64Array.from(circle.readings, (r) => {
      const [c, s] = clockVector(r.clock)
      return cos * c + sin * s
    }),
    quarter: Float64Array.from(circle.readings, (r) => {
      const [c, s] = clockVector(r.clock)
      return sin * c - cos * s
    }),
  }
}

/** Prepares an arrangement; null when a circle can't be fitted. */
export const arrangementModel = (arrangement: DialArrangement): ArrangementModel | null => {
  const first = circleModel(arrangement.circles[0])
  const second = circleModel(arrangement.circles[1])
  if (!first || !second) return null
  return { arrangement, circles: [first, second] }
}

/**
 * Errors of one solution: amplitudes and sag of each circle, diameters, planes and spool length.
 * Order: cos1, sin1, sag1, diameter1, plane1, cos2, sin2, sag2, diameter2, plane2, spool.
 */
export const ERROR_COUNT = 11

/** Solves the arrangement with errors added, into `out` (offset V, offset H, slope V, slope H). */
export const solveWithErrors = (model: ArrangementModel, errors: Float64Array, out: Float64Array): void => {
  const [a, b] = model.circles
  const leverA = a.lever + a.leverPerDiameter * (errors[3] as number)
  const leverB = b.lever + b.leverPerDiameter * (errors[8] as number)
  const va = (a.cos + (errors[0] as number) - a.sag - (errors[2] as number)) / leverA
  const ha = (a.sin + (errors[1] as number)) / leverA
  const vb = (b.cos + (errors[5] as number) - b.sag - (errors[7] as number)) / leverB
  const hb = (b.sin + (errors[6] as number)) / leverB
  const xa = a.plane + (errors[4] as number)
  const xb = b.plane + (errors[9] as number)
  const { join } = model.arrangement
  // Only an error of the spool makes another join; the rest share the one that is there.
  const withError: Join =
    join.kind === 'two-slopes' && errors[10] !== 0
      ? { ...join, spoolLength: join.spoolLength + (errors[10] as number) }
      : join
  joinPlaneInto(withError, va, vb, xa, xb, out, 0)
  joinPlaneInto(withError, ha, hb, xa, xb, out, 1)
}

/** Standard deviations of the errors other than the amplitudes, in the order of solveWithErrors. */
export const errorSpread = (model: ArrangementModel, sd: Spread): Float64Array => {
  const out = new Float64Array(ERROR_COUNT)
  model.circles.forEach((c, i) => {
    out[5 * i + 2] = c.sagShare * sd.sag
    out[5 * i + 3] = c.leverPerDiameter === 0 ? 0 : sd.distance
    out[5 * i + 4] = c.planeCounts * sd.distance
  })
  out[10] = model.arrangement.join.kind === 'two-slopes' ? sd.distance : 0
  return out
}
