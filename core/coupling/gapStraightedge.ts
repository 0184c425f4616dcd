import { clockVector, distinctClocks } from '../frame/clock'
import { eachPlane, type Misalignment, type VH } from '../frame/planes'
import type { Reading } from '../fit/harmonicFit'
import { done, refused, type Outcome } from '../outcome'
import {
  trustOfSetUp,
  type SetTrust,
  type TrustFlag,
  type TrustLimits,
  type TrustReport,
} from '../trust/trustReport'
import { closureLimit } from '../trust/closure'
import type { Millimetres } from '../units/unitSystem'
import { measureCircle, type DialCircle } from './dialCircle'
import { gapBounds, stepBounds, UNBOUNDED, type FeelerReading, type VHBounds } from './feelerBounds'

export interface GapStraightedgeInput {
  /** Feeler gaps between the faces on a circle of this diameter. */
  readonly gaps?: { readonly diameter: Millimetres; readonly readings: readonly FeelerReading[] }
  /** Rim steps under a straightedge, positive when the movable rim is higher. */
  readonly rises?: {
    /** Movable hub radius less stationary hub radius. */
    readonly radiusDifference: Millimetres
    readonly readings: readonly FeelerReading[]
  }
}

export interface GapStraightedgeResult {
  /** Null where only one of the two was measured, or only bounds are known. */
  readonly coupling: Misalignment
  readonly trust: TrustReport
  /** What is known of each quantity as an interval; both ends null when nothing is. */
  readonly bounds: { readonly offset: VHBounds; readonly slope: VHBounds }
}

interface Part {
  readonly value: VH
  readonly bounds: VHBounds
  readonly sets: readonly SetTrust[]
  readonly flags: readonly TrustFlag[]
  /** What was fitted; null where bounds or known radii stand instead. */
  readonly circle: DialCircle | null
}

const NOTHING: VH = { v: null, h: null }
/** The readings as values; null as soon as one is only a blade that passes or stops. */
export const measuredOnly = (readings: readonly FeelerReading[]): readonly Reading[] | null =>
  readings.every((r) => 'value' in r) ? (readings as readonly Reading[]) : null

const exactly = (value: VH): VHBounds => ({ v: [value.v, value.v], h: [value.h, value.h] })

const onlyBounds = (bounds: VHBounds): Part => ({
  value: NOTHING,
  bounds,
  sets: [],
  flags: ['go-no-go'],
  circle: null,
})

const byCircle = (circle: DialCircle, limits: TrustLimits): Outcome<Part & { constant: number }> => {
  const measured = measureCircle(circle, limits)
  if (!measured.ok) return measured
  const { value, trust, fit } = measured.value
  const constant = Object.values(fit.constants)[0] as number
  return done({ value, bounds: exactly(value), sets: trust.sets, flags: trust.flags, circle, constant })
}

const fromGaps = (
  { diameter, readings }: NonNullable<GapStraightedgeInput['gaps']>,
  limits: TrustLimits,
): Outcome<Part> => {
  const values = measuredOnly(readings)
  if (!values) {
    const bounds = gapBounds(readings, diameter)
    return bounds.ok ? done(onlyBounds(bounds.value)) : bounds
  }
  return byCircle(gapsCircle(diameter, values), limits)
}

/** Feeler gaps as a circle that reads a slope. */
export const gapsCircle = (diameter: Millimetres, readings: readonly Reading[]): DialCircle => ({
  name: 'gaps',
  readings,
  sag: 0,
  reads: 'slope',
  lever: -diameter / 2,
  plane: 0,
  path: ['gaps', 'readings'],
})

/** Rim steps at three or more places as a circle that reads the position at the coupling centre. */
export const risesCircle = (readings: readonly Reading[]): DialCircle => ({
  name: 'rises',
  readings,
  sag: 0,
  reads: 'position',
  lever: 1,
  plane: 0,
  atCentre: true,
  path: ['rises', 'readings'],
})

/** Rim steps at fewer places: their hub radii are needed to tell the height. */
export const needsRadii = (readings: readonly Reading[]): boolean =>
  distinctClocks(readings.map((r) => r.clock)).length < 3

/** Offset from one or two rim steps when the hub radii are known: least squares without a constant. */
export const withKnownRadii = (readings: readonly Reading[], difference: Millimetres): VH => {
  let cc = 0
  let ss = 0
  let cs = 0
  let cr = 0
  let sr = 0
  for (const { clock, value } of readings) {
    const [c, s] = clockVector(clock)
    cc += c * c
    ss += s * s
    cs += c * s
    cr += c * (value - difference)
    sr += s * (value - difference)
  }
  const det = cc * ss - cs * cs
  if (det > 1e-6) return { v: (cr * ss - sr * cs) / det, h: (sr * cc - cr * cs) / det }
  return { v: ss < 1e-6 ? cr / cc : null, h: cc < 1e-6 ? sr / ss : null }
}

const fromRises = (
  { radiusDifference, readings }: NonNullable<GapStraightedgeInput['rises']>,
  limits: TrustLimits,
): Outcome<Part> => {
  const values = measuredOnly(readings)
  if (!values) {
    const bounds = stepBounds(readings, radiusDifference)
    return bounds.ok ? done(onlyBounds(bounds.value)) : bounds
  }
  if (needsRadii(values)) {
    const value = withKnownRadii(values, radiusDifference)
    if (value.v === null && value.h === null) return refused('pair-off-plane', ['rises', 'readings'])
    return done({ value, bounds: exactly(value), sets: [], flags: ['unproven'], circle: null })
  }
  const fitted = byCircle(risesCircle(values), limits)
  if (!fitted.ok) return fitted
  const limit = closureLimit(limits.units, limits.graduation, limits.offsetLimit)
  const off = Math.abs(fitted.value.constant - radiusDifference)
  return done({
    ...fitted.value,
    flags: off > limit * (1 + 1e-9) ? [...fitted.value.flags, 'hub-radii'] : fitted.value.flags,
  })
}

/**
 * Feeler gaps and straightedge: slope from the gaps, offset from the rim steps at the coupling
 * centre. Either may be missing; what it would have told stays null. With three or more step
 * positions the hub radii are only checked, with fewer their difference is subtracted. Go/no-go
 * feelers give bounds. Source: docs/methods/gap-straightedge.md.
 */
export const gapStraightedge = (
  input: GapStraightedgeInput,
  limits: TrustLimits,
): Outcome<GapStraightedgeResult> => {
  if (!input.gaps && !input.rises) return refused('nothing-measured', ['gaps'])
  const none: Part = { value: NOTHING, bounds: UNBOUNDED, sets: [], flags: [], circle: null }
  const gaps = input.gaps ? fromGaps(input.gaps, limits) : done(none)
  if (!gaps.ok) return gaps
  const rises = input.rises ? fromRises(input.rises, limits) : done(none)
  if (!rises.ok) return rises
  const sets = [...rises.value.sets, ...gaps.value.sets]
  const whole = trustOfSetUp(
    sets,
    [rises.value.circle, gaps.value.circle],
    { kind: 'position-and-slope' },
    limits,
  )
  const flags = new Set([...whole.flags, ...rises.value.flags, ...gaps.value.flags])
  return done({
    coupling: {
      offset: eachPlane((p) => rises.value.value[p]),
      slope: eachPlane((p) => gaps.value.value[p]),
    },
    trust: { ...whole, flags: [...flags] },
    bounds: { offset: rises.value.bounds, slope: gaps.value.bounds },
  })
}
