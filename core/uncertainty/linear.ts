import type { FootPlane } from '../coupling/feet'
import type { Misalignment } from '../frame/planes'
import {
  ERROR_COUNT,
  errorSpread,
  solveWithErrors,
  type ArrangementModel,
  type CircleModel,
} from './arrangementModel'
import type { Spread } from './spread'

/** Covariance of (offset.v, offset.h, slope.v, slope.h), 4 x 4, row by row. */
export type LineCovariance = Float64Array

const RADIAN = Math.PI / 180

/** Variances and covariance of a circle's cosine and sine amplitude, from readings, clock angles and a still hub. */
export const amplitudeCovariance = (
  circle: CircleModel,
  sd: Spread,
): readonly [cosVariance: number, covariance: number, sinVariance: number] => {
  let aa = 0
  let ab = 0
  let bb = 0
  for (let i = 0; i < circle.perRadian.length; i++) {
    const variance =
      (circle.readingShare * sd.reading) ** 2 + ((circle.perRadian[i] as number) * sd.clock * RADIAN) ** 2
    const a = circle.weights.cos[i] as number
    const b = circle.weights.sin[i] as number
    aa += a * a * variance
    ab += a * b * variance
    bb += b * b * variance
  }
  const [hubCos, hubBoth, hubSin] = circle.hubCovariance
  const [radiiCos, radiiBoth, radiiSin] = circle.radiiCovariance
  const taped = sd.distance ** 2
  const unknown = circle.hubUnknown * sd.runout ** 2
  const { tellsV, tellsH } = circle.weights
  return [
    aa + hubCos * sd.reading ** 2 + radiiCos * taped + (tellsV ? unknown : 0),
    ab + hubBoth * sd.reading ** 2 + radiiBoth * taped,
    bb + hubSin * sd.reading ** 2 + radiiSin * taped + (tellsH ? unknown : 0),
  ]
}

/**
 * Whether both circles were read at the same stops by dials on one bracket: then a stop off its mark is
 * off for both.
 */
export const sharesClock = ({ arrangement, circles }: ArrangementModel): boolean => {
  const [a, b] = circles
  return (
    arrangement.join.kind === 'position-and-slope' &&
    // Feelers and straightedges are held by hand, each where it is held.
    circles[0].planeCounts === 1 &&
    a.clocks.length === b.clocks.length &&
    a.clocks.every((x, i) => x === b.clocks[i])
  )
}

/** Covariances of the first circle's amplitudes with the second's from clock errors they share: cos-cos, cos-sin, sin-cos, sin-sin. */
const sharedCovariance = (
  [a, b]: ArrangementModel['circles'],
  sd: Spread,
): readonly [number, number, number, number] => {
  const out: [number, number, number, number] = [0, 0, 0, 0]
  const turn = (sd.clock * RADIAN) ** 2
  for (let i = 0; i < a.perRadian.length; i++) {
    const both = turn * (a.perRadian[i] as number) * (b.perRadian[i] as number)
    const [ac, as] = [a.weights.cos[i] as number, a.weights.sin[i] as number]
    const [bc, bs] = [b.weights.cos[i] as number, b.weights.sin[i] as number]
    out[0] += both * ac * bc
    out[1] += both * ac * bs
    out[2] += both * as * bc
    out[3] += both * as * bs
  }
  return out
}

/** Derivatives of the line's four numbers by every error, 4 rows of ERROR_COUNT. */
const derivatives = (
  model: ArrangementModel,
  scratch: Float64Array,
  low: Float64Array,
  high: Float64Array,
) => {
  const rows = new Float64Array(4 * ERROR_COUNT)
  for (let e = 0; e < ERROR_COUNT; e++) {
    // Distances move the line in proportion to themselves; amplitudes are linear at any step.
    const step = 1e-4
    scratch[e] = step
    solveWithErrors(model, scratch, high)
    scratch[e] = -step
    solveWithErrors(model, scratch, low)
    scratch[e] = 0
    for (let k = 0; k < 4; k++)
      rows[k * ERROR_COUNT + e] = ((high[k] as number) - (low[k] as number)) / (2 * step)
  }
  return rows
}

/**
 * Covariance of offset and slope by linear propagation of the errors of readings, clock angles,
 * sags and distances. Millimetres, mm/mm. Agrees with Monte Carlo where errors are small beside
 * the lengths they enter.
 */
export const lineCovariance = (model: ArrangementModel, sd: Spread): LineCovariance => {
  const scratch = new Float64Array(ERROR_COUNT)
  const low = new Float64Array(4)
  const high = new Float64Array(4)
  const d = derivatives(model, scratch, low, high)
  const sds = errorSpread(model, sd)
  const out = new Float64Array(16)
  const [first, second] = model.circles.map((c) => amplitudeCovariance(c, sd))
  const shared = sd.clock > 0 && sharesClock(model) ? sharedCovariance(model.circles, sd) : null
  for (let j = 0; j < 4; j++)
    for (let k = j; k < 4; k++) {
      let sum = 0
      const at = (row: number, e: number) => d[row * ERROR_COUNT + e] as number
      for (let e = 0; e < ERROR_COUNT; e++) sum += at(j, e) * at(k, e) * (sds[e] as number) ** 2
      for (const [i, block] of [first, second].entries()) {
        if (!block) continue
        const [aa, ab, bb] = block
        const c = 5 * i
        sum +=
          at(j, c) * at(k, c) * aa +
          (at(j, c) * at(k, c + 1) + at(j, c + 1) * at(k, c)) * ab +
          at(j, c + 1) * at(k, c + 1) * bb
      }
      if (shared) {
        const [cc, cs, sc, ss] = shared
        sum +=
          (at(j, 0) * at(k, 5) + at(j, 5) * at(k, 0)) * cc +
          (at(j, 0) * at(k, 6) + at(j, 6) * at(k, 0)) * cs +
          (at(j, 1) * at(k, 5) + at(j, 5) * at(k, 1)) * sc +
          (at(j, 1) * at(k, 6) + at(j, 6) * at(k, 1)) * ss
      }
      out[4 * j + k] = sum
      out[4 * k + j] = sum
    }
  return out
}

/** Standard deviations of the move at each foot pair, both planes; the foot's own distance counts too. */
export const footMoveSd = (
  covariance: LineCovariance,
  line: Misalignment,
  target: Misalignment,
  feet: readonly FootPlane[],
  sd: Spread,
): readonly { readonly id: string; readonly v: number; readonly h: number }[] =>
  feet.map(({ id, x }) => {
    const one = (plane: 'v' | 'h', o: 0 | 1, s: 2 | 3) => {
      const slope = (target.slope[plane] ?? 0) - (line.slope[plane] ?? 0)
      const variance =
        (covariance[5 * o] as number) +
        2 * x * (covariance[4 * o + s] as number) +
        x * x * (covariance[5 * s] as number) +
        (slope * sd.distance) ** 2
      return Math.sqrt(Math.max(0, variance))
    }
    return { id, v: one('v', 0, 2), h: one('h', 1, 3) }
  })

/**
 * Covariance of the line after a planned move: what the measurement leaves open, and what shims,
 * side moves and settling add at the two outer pairs. A foot's distance error moves with the plan:
 * `moves` are the planned moves there.
 */
export const covarianceAfterMove = (
  measured: LineCovariance,
  feet: readonly [FootPlane, FootPlane],
  moves: readonly [{ readonly v: number; readonly h: number }, { readonly v: number; readonly h: number }],
  sd: Spread,
): LineCovariance => {
  const out = Float64Array.from(measured)
  const [a, b] = feet
  const between = b.x - a.x
  const add = (o: number, s: number, variance: number, byOffset: number, bySlope: number) => {
    out[5 * o] = (out[5 * o] as number) + byOffset * byOffset * variance
    out[4 * o + s] = (out[4 * o + s] as number) + byOffset * bySlope * variance
    out[4 * s + o] = (out[4 * s + o] as number) + byOffset * bySlope * variance
    out[5 * s] = (out[5 * s] as number) + bySlope * bySlope * variance
  }
  const vertical = sd.shim ** 2 + sd.settling ** 2
  for (const [o, s, variance, plane] of [
    [0, 2, vertical, 'v'],
    [1, 3, sd.side ** 2, 'h'],
  ] as const) {
    add(o, s, variance, b.x / between, -1 / between)
    add(o, s, variance, -a.x / between, 1 / between)
    // Feet that stand elsewhere than taped: the same lifts tilt the line about other places.
    const slope = (moves[1][plane] - moves[0][plane]) / between
    add(o, s, (slope * sd.distance) ** 2, b.x / between, -1 / between)
    add(o, s, (slope * sd.distance) ** 2, -a.x / between, 1 / between)
  }
  return out
}
