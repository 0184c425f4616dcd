import { fitHarmonic, type HarmonicFit, type Reading } from '../fit/harmonicFit'
import { eachPlane, type Misalignment, type VH } from '../frame/planes'
import { done, refused, refusedBelow, type Outcome } from '../outcome'
import {
  flagsOfSets,
  trustOfSet,
  trustOfSetUp,
  type TrustLimits,
  type TrustReport,
} from '../trust/trustReport'
import type { Millimetres } from '../units/unitSystem'
import type { ReadingSign } from './dialSet'
import type { StillHub } from './stillHub'

/** Readings once round the clock, and what their cosine and sine amplitudes stand for. */
export interface DialCircle {
  readonly name: string
  /** Plunger-in positive, a still hub's measured surface taken out, millimetres. */
  readonly readings: readonly Reading[]
  readonly sag: Millimetres
  /** Bars whose sag was measured and may be wrong: as many of its dials as hang on one. */
  readonly bars?: 0 | 1 | 2
  /** Two dials half a turn apart whose half difference is the reading; one where it is missing. */
  readonly dials?: 1 | 2
  /** Read at the coupling centre itself: no distance was taped. */
  readonly atCentre?: boolean
  /** A position of the axis (millimetres) or its slope (mm/mm). */
  readonly reads: 'position' | 'slope'
  /** Change of the reading per unit of what it reads: k for a position, q * D/2 for a slope. */
  readonly lever: number
  /** x of the plane a position is read at. */
  readonly plane: Millimetres
  /** What a hub that stood still put into the readings: its measured surface, or `unknown` when none was. */
  readonly stillHub?: StillHub | 'unknown'
  /** Where in the input its readings lie, for refusals. */
  readonly path: readonly (string | number)[]
}

/** How two circles make a line. */
export type Join =
  | { readonly kind: 'position-and-slope' }
  | { readonly kind: 'two-positions' }
  /** Slope of a spool against the first axis, then of the second axis against the spool. */
  | { readonly kind: 'two-slopes'; readonly spoolLength: Millimetres }

/** Two circles and their join: every method with dials, feelers or heads comes down to this. */
export interface DialArrangement {
  readonly circles: readonly [DialCircle, DialCircle]
  readonly join: Join
}

export interface CouplingMeasurement {
  readonly coupling: Misalignment
  readonly trust: TrustReport
  /** Fits by circle name, for showing the working. */
  readonly fits: Readonly<Record<string, HarmonicFit>>
  /** With two face dials: how far the shafts crept along the axis, millimetres. */
  readonly axialFloat: Millimetres | null
}

/** What a fit says at its circle: `(a - s)/lever` and `b/lever`. */
export const circleValue = (circle: DialCircle, fit: HarmonicFit): VH => ({
  v: fit.cos === null ? null : (fit.cos - circle.sag) / circle.lever,
  h: fit.sin === null ? null : fit.sin / circle.lever,
})

/**
 * Offset and slope of one plane from what two circles read there, written into `out` at `at`
 * (offset) and `at + 2` (slope). Exact for the line model of docs/frame-and-signs.md; planes are the x of the
 * circles. Allocates nothing.
 */
export const joinPlaneInto = (
  join: Join,
  first: number,
  second: number,
  firstPlane: Millimetres,
  secondPlane: Millimetres,
  out: Float64Array,
  at: number,
): void => {
  if (join.kind === 'position-and-slope') {
    out[at] = first - second * firstPlane
    out[at + 2] = second
  } else if (join.kind === 'two-positions') {
    const slope = (second - first) / (secondPlane - firstPlane)
    out[at] = first - slope * firstPlane
    out[at + 2] = slope
  } else {
    out[at] = ((first - second) * join.spoolLength) / 2
    out[at + 2] = first + second
  }
}

/** Planes nearer than this can't tell a slope: the last digit of a reading would turn it round. Millimetres. */
export const LEAST_APART = 10

/** The line two circles make; what one plane lacks stays null. A lone slope or position is kept. */
export const joinCircles = (arrangement: DialArrangement, first: VH, second: VH): Misalignment => {
  const { circles, join } = arrangement
  const [a, b] = circles
  const line = { offset: { v: null, h: null }, slope: { v: null, h: null } } as {
    offset: { v: number | null; h: number | null }
    slope: { v: number | null; h: number | null }
  }
  const out = new Float64Array(4)
  for (const p of ['v', 'h'] as const) {
    const x = first[p]
    const y = second[p]
    if (x !== null && y !== null) {
      joinPlaneInto(join, x, y, a.plane, b.plane, out, 0)
      line.offset[p] = out[0] as number
      line.slope[p] = out[2] as number
    } else if (join.kind === 'position-and-slope') {
      line.slope[p] = y
      if (x !== null && a.plane === 0) line.offset[p] = x
    }
  }
  return line
}

/** Readings as a plunger-in-is-positive gauge would show them. */
export const withPlungerInPositive = (
  readings: readonly Reading[],
  sign: ReadingSign | undefined,
): readonly Reading[] => (sign === -1 ? readings.map((r) => ({ ...r, value: -r.value })) : readings)

/**
 * Fits both circles, joins them and reports how far they may be trusted. Refuses positions that
 * can't carry a result, below the path of the circle; and two positions read at planes all but one.
 */
export const measureArrangement = (
  arrangement: DialArrangement,
  limits: TrustLimits,
): Outcome<CouplingMeasurement> => {
  const [a, b] = arrangement.circles
  if (arrangement.join.kind === 'two-positions' && Math.abs(a.plane - b.plane) < LEAST_APART)
    return refused('planes-at-one-place', b.path.slice(0, -1).concat('plane'))
  const fitA = fitHarmonic(a.readings)
  if (!fitA.ok) return refusedBelow(a.path, fitA.refusals)
  const fitB = fitHarmonic(b.readings)
  if (!fitB.ok) return refusedBelow(b.path, fitB.refusals)
  const sets = [
    trustOfSet(a.name, a.readings, fitA.value, a.sag, limits),
    trustOfSet(b.name, b.readings, fitB.value, b.sag, limits),
  ]
  return done({
    coupling: joinCircles(arrangement, circleValue(a, fitA.value), circleValue(b, fitB.value)),
    trust: trustOfSetUp(sets, arrangement.circles, arrangement.join, limits),
    fits: { [a.name]: fitA.value, [b.name]: fitB.value },
    axialFloat: null,
  })
}

/** Both planes of one circle alone, for methods that know only offset or only slope. */
export const measureCircle = (
  circle: DialCircle,
  limits: TrustLimits,
): Outcome<{ readonly value: VH; readonly trust: TrustReport; readonly fit: HarmonicFit }> => {
  const fit = fitHarmonic(circle.readings)
  if (!fit.ok) return refusedBelow(circle.path, fit.refusals)
  const set = trustOfSet(circle.name, circle.readings, fit.value, circle.sag, limits)
  const value = circleValue(circle, fit.value)
  return done({
    value: eachPlane((p) => value[p]),
    trust: { sets: [set], flags: flagsOfSets([set]) },
    fit: fit.value,
  })
}
