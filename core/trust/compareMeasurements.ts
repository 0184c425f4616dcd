import { joinCircles, circleValue, type DialArrangement, type DialCircle } from '../coupling/dialCircle'
import { feetFor, type FootPlane, type FootResult } from '../coupling/feet'
import { fitHarmonic, type Reading } from '../fit/harmonicFit'
import { lineDifference, type Misalignment } from '../frame/planes'
import { judgedQuantities } from '../judge/quantities'
import type { SettledTolerance } from '../judge/tolerance'
import type { Degrees, Millimetres, UnitSystem } from '../units/unitSystem'
import { repeatDifferences, repeatLimit } from './repeat'

/** One line of a repeat check, millimetres or mm/mm. */
export interface RepeatRow {
  readonly what: 'position' | 'quantity'
  /** Circle name for a position, quantity name otherwise. */
  readonly name: string
  readonly clock: Degrees | null
  readonly kind: 'displacement' | 'slope'
  readonly difference: number
  readonly limit: number
  readonly within: boolean
}

/** Quantity by quantity: half of each limit is what a repeat may differ by (docs/methods/compare-sets.md). */
export const repeatOfQuantities = (change: Misalignment, tolerance: SettledTolerance): readonly RepeatRow[] =>
  judgedQuantities(tolerance)
    .flatMap((q) => q.terms)
    .flatMap((q): readonly RepeatRow[] => {
      const offset = change.offset[q.plane]
      const slope = change.slope[q.plane]
      const [low, high] = q.band
      if (offset === null || slope === null || low === null || high === null) return []
      const difference = q.offsetFactor * offset + q.slopeFactor * slope
      const limit = (high - low) / 4
      const within = Math.abs(difference) <= limit * (1 + 1e-9)
      return [{ what: 'quantity', name: q.name, clock: null, kind: q.kind, difference, limit, within }]
    })

/** Position by position, each set less its own fitted constant. */
export const repeatOfPositions = (
  name: string,
  first: readonly Reading[],
  second: readonly Reading[],
  limit: Millimetres,
): readonly RepeatRow[] =>
  repeatDifferences(first, second).map(({ clock, difference }) => ({
    what: 'position',
    name,
    clock,
    kind: 'displacement',
    difference,
    limit,
    within: Math.abs(difference) <= limit * (1 + 1e-9),
  }))

interface Measured {
  readonly coupling: Misalignment
  readonly arrangement: DialArrangement
}

export interface ComparedMeasurements {
  readonly agrees: boolean
  readonly rows: readonly RepeatRow[]
  readonly feet: readonly FootResult[]
  readonly combined: Misalignment | null
}

/** Both sets' readings under one set-up, each set with zeros of its own. */
export const poolSets = (first: DialArrangement, second: DialArrangement): DialArrangement => {
  const pooled = (i: 0 | 1): DialCircle => ({
    ...first.circles[i],
    // Out of the readings already.
    stillHub: undefined,
    readings: [first, second].flatMap((set, n) =>
      set.circles[i].readings.map((r) => ({ ...r, group: `${n + 1} ${r.group ?? ''}` })),
    ),
  })
  return { ...first, circles: [pooled(0), pooled(1)] }
}

/** Both sets by least squares; null when the pooled circles can't be fitted. */
const combine = (first: DialArrangement, second: DialArrangement): Misalignment | null => {
  const both = poolSets(first, second)
  const [a, b] = both.circles.map((circle) => {
    const fit = fitHarmonic(circle.readings)
    return fit.ok ? circleValue(circle, fit.value) : null
  })
  return a && b ? joinCircles(both, a, b) : null
}

/** Where a circle stands and what it reads by: only circles set up alike share a fit. */
const setUpOf = (a: DialArrangement) =>
  JSON.stringify([a.join, a.circles.map((c) => [c.name, c.plane, c.lever, c.sag, c.stillHub === 'unknown'])])

/**
 * Compares two measurements of one machine position by position (less each set's own constant) and
 * quantity by quantity, and combines them by least squares when they agree. Millimetres, mm/mm.
 */
export const compareMeasurements = (
  first: Measured,
  second: Measured,
  by: {
    readonly tolerance: SettledTolerance
    readonly units: UnitSystem
    readonly graduation: Millimetres | null
    readonly feet: readonly FootPlane[]
  },
): ComparedMeasurements => {
  const limit = repeatLimit(by.units, by.graduation)
  const alike = setUpOf(first.arrangement) === setUpOf(second.arrangement)
  const positions = alike
    ? first.arrangement.circles.flatMap((circle, i) =>
        repeatOfPositions(
          circle.name,
          circle.readings,
          second.arrangement.circles[i as 0 | 1].readings,
          limit,
        ),
      )
    : []
  const change = lineDifference(second.coupling, first.coupling)
  const rows = [...positions, ...repeatOfQuantities(change, by.tolerance)]
  const agrees = rows.length > 0 && rows.every((r) => r.within)
  return {
    agrees,
    rows,
    feet: feetFor(change, by.feet),
    combined: agrees && alike ? combine(first.arrangement, second.arrangement) : null,
  }
}
