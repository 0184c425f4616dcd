import { AXIS_DEGREES, normalClock } from '../frame/clock'
import { done, refused, type Outcome } from '../outcome'
import type { Degrees, Millimetres } from '../units/unitSystem'

/** A feeler reading: measured, or only tried with one blade. */
export type FeelerReading =
  | { readonly clock: Degrees; readonly value: Millimetres; readonly group?: string }
  /** This blade went in: the gap is at least that; under a straightedge the sign says which rim is higher. */
  | { readonly clock: Degrees; readonly passes: Millimetres }
  /** This blade did not go in. */
  | { readonly clock: Degrees; readonly stops: Millimetres }

/** Lowest and highest a value can be; null where nothing bounds it. */
export type Bounds = readonly [low: number | null, high: number | null]
export interface VHBounds {
  readonly v: Bounds
  readonly h: Bounds
}

export const UNBOUNDED: VHBounds = { v: [null, null], h: [null, null] }

type Quarter = 0 | 90 | 180 | 270

const quarterOf = (clock: Degrees): Quarter | null => {
  const at = normalClock(clock)
  const nearest = Math.round(at / 90) * 90
  return Math.abs(nearest - at) <= AXIS_DEGREES ? ((nearest % 360) as Quarter) : null
}

const higher = (a: number | null, b: number | null) => (a === null ? b : b === null ? a : Math.max(a, b))
const lower = (a: number | null, b: number | null) => (a === null ? b : b === null ? a : Math.min(a, b))

/** Bounds at each of the four quarters, from blades that passed or stopped there. */
const quarterBounds = (
  readings: readonly FeelerReading[],
  boundsOf: (r: FeelerReading) => Bounds,
  floor: number | null,
  path: readonly (string | number)[],
): Outcome<Readonly<Record<Quarter, Bounds>>> => {
  const at: Record<Quarter, Bounds> = {
    0: [floor, null],
    90: [floor, null],
    180: [floor, null],
    270: [floor, null],
  }
  for (const [i, r] of readings.entries()) {
    const quarter = quarterOf(r.clock)
    if (quarter === null) return refused('bounds-off-quarters', [...path, i, 'clock'], { clock: r.clock })
    const [low, high] = boundsOf(r)
    const merged: Bounds = [higher(at[quarter][0], low), lower(at[quarter][1], high)]
    if (merged[0] !== null && merged[1] !== null && merged[0] > merged[1] + 1e-12)
      return refused('bounds-empty', [...path, i], { clock: r.clock })
    at[quarter] = merged
  }
  return done(at)
}

const difference = (a: Bounds, b: Bounds): Bounds => [
  a[0] === null || b[1] === null ? null : a[0] - b[1],
  a[1] === null || b[0] === null ? null : a[1] - b[0],
]
const scaled = ([low, high]: Bounds, factor: number): Bounds => {
  const ends = [low === null ? null : low * factor, high === null ? null : high * factor] as const
  return factor < 0 ? [ends[1], ends[0]] : ends
}
const both = (a: Bounds, b: Bounds): Bounds => [higher(a[0], b[0]), lower(a[1], b[1])]

/**
 * What blades between the faces say of the slope: `slopeV = (g6 - g12)/D`, `slopeH = (g9 - g3)/D`.
 * Gaps are never below zero. Millimetres in, mm/mm out. Refuses positions off 12, 3, 6 and 9, and
 * blades that contradict one another.
 */
export const gapBounds = (readings: readonly FeelerReading[], diameter: Millimetres): Outcome<VHBounds> => {
  const at = quarterBounds(
    readings,
    (r) => ('value' in r ? [r.value, r.value] : 'passes' in r ? [r.passes, null] : [null, r.stops]),
    0,
    ['gaps', 'readings'],
  )
  if (!at.ok) return at
  return done({
    v: scaled(difference(at.value[180], at.value[0]), 1 / diameter),
    h: scaled(difference(at.value[270], at.value[90]), 1 / diameter),
  })
}

/**
 * What blades under a straightedge say of the offset. A blade that stops holds the step between
 * plus and minus its thickness; one that passes (signed like the step) sets one end.
 */
export const stepBounds = (
  readings: readonly FeelerReading[],
  radiusDifference: Millimetres,
): Outcome<VHBounds> => {
  const at = quarterBounds(
    readings,
    (r) => {
      if ('value' in r) return [r.value, r.value]
      if ('stops' in r) return [-Math.abs(r.stops), Math.abs(r.stops)]
      return r.passes >= 0 ? [r.passes, null] : [null, r.passes]
    },
    null,
    ['rises', 'readings'],
  )
  if (!at.ok) return at
  const lessRadii = (b: Bounds): Bounds => [
    b[0] === null ? null : b[0] - radiusDifference,
    b[1] === null ? null : b[1] - radiusDifference,
  ]
  return done({
    v: both(lessRadii(at.value[0]), scaled(lessRadii(at.value[180]), -1)),
    h: both(lessRadii(at.value[90]), scaled(lessRadii(at.value[270]), -1)),
  })
}
