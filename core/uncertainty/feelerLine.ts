import {
  gapsCircle,
  measuredOnly,
  needsRadii,
  risesCircle,
  withKnownRadii,
  type GapStraightedgeInput,
} from '../coupling/gapStraightedge'
import type { Reading } from '../fit/harmonicFit'
import { clockVector } from '../frame/clock'
import { done, refused, type Outcome } from '../outcome'
import type { Millimetres } from '../units/unitSystem'
import { circleModel, type CircleModel } from './arrangementModel'
import { dialLine } from './dialLine'
import type { LineModel } from './lineModel'

const NONE = new Float64Array(0)

/** Stands where nothing was read: what it would tell is not known. */
const NOTHING_READ: CircleModel = {
  weights: { cos: NONE, sin: NONE, tellsV: false, tellsH: false },
  cos: 0,
  sin: 0,
  readingShare: 0,
  sag: 0,
  sagShare: 0,
  lever: 1,
  leverPerDiameter: 0,
  hubCovariance: [0, 0, 0],
  radiiCovariance: [0, 0, 0],
  hubUnknown: 0,
  plane: 0,
  planeCounts: 0,
  perRadian: NONE,
  clocks: NONE,
  turned: NONE,
  quarter: NONE,
}

/** One or two rim steps with hub radii that were taped: an error of either radius is in every step. */
const radiiModel = (readings: readonly Reading[], difference: Millimetres): CircleModel => {
  const found = withKnownRadii(readings, difference)
  // The solution is a sum of the steps: a step of one alone shows its weight.
  const byOne = readings.map((_, i) =>
    withKnownRadii(
      readings.map((r, j) => ({ ...r, value: i === j ? 1 : 0 })),
      0,
    ),
  )
  const cos = Float64Array.from(byOne, (vh) => vh.v ?? 0)
  const sin = Float64Array.from(byOne, (vh) => vh.h ?? 0)
  const [v, h] = [found.v ?? 0, found.h ?? 0]
  const all = (weights: Float64Array) => weights.reduce((s, w) => s + w, 0)
  const turn = (clock: number) => {
    const [c, s] = clockVector(clock)
    return { at: v * c + h * s, quarter: h * c - v * s }
  }
  const turns = readings.map((r) => turn(r.clock))
  return {
    ...NOTHING_READ,
    weights: { cos, sin, tellsV: found.v !== null, tellsH: found.h !== null },
    cos: v,
    sin: h,
    readingShare: 1,
    radiiCovariance: [2 * all(cos) ** 2, 2 * all(cos) * all(sin), 2 * all(sin) ** 2],
    perRadian: Float64Array.from(turns, (t) => t.quarter),
    clocks: Float64Array.from(readings, (r) => (r.clock * Math.PI) / 180),
    turned: Float64Array.from(turns, (t) => t.at),
    quarter: Float64Array.from(turns, (t) => t.quarter),
  }
}

/**
 * Feeler gaps and rim steps as the source of a line; what was not measured stays unknown. Refused where only
 * a blade was tried: bounds don't spread. Source: docs/methods/uncertainty.md.
 */
export const feelerLine = ({ gaps, rises }: GapStraightedgeInput): Outcome<LineModel> => {
  const gapValues = gaps ? measuredOnly(gaps.readings) : []
  if (!gapValues) return refused('only-bounds', ['gaps', 'readings'])
  const riseValues = rises ? measuredOnly(rises.readings) : []
  if (!riseValues) return refused('only-bounds', ['rises', 'readings'])
  const slope = gaps && circleModel(gapsCircle(gaps.diameter, gapValues))
  const offset =
    rises &&
    (needsRadii(riseValues)
      ? radiiModel(riseValues, rises.radiusDifference)
      : circleModel(risesCircle(riseValues)))
  const circles = [offset ?? NOTHING_READ, slope ?? NOTHING_READ] as const
  return done(
    dialLine({
      circles,
      arrangement: {
        join: { kind: 'position-and-slope' },
        circles: [risesCircle(riseValues), gapsCircle(gaps?.diameter ?? 1, gapValues)],
      },
    }),
  )
}
