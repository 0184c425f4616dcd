import { clockVector } from '../frame/clock'
import { solveLinear } from '../fit/leastSquares'
import type { Millimetres, Slope } from '../units/unitSystem'
import { partners, type FlangeBolt } from './flangeShims'

/** What thicknesses under the bolts of a flange come to. Millimetres. */
export interface FlangePlane {
  /** At the middle of the circle: what the coupling opens by. */
  readonly centre: Millimetres
  /** How the tops lean: they raise the side it points to. */
  readonly slope: { readonly v: Slope; readonly h: Slope }
  /** Largest less smallest sum of an opposite pair; null where no bolts stand opposite. */
  readonly rock: Millimetres | null
  /** The furthest that one top stands from the plane of all. */
  readonly off: Millimetres
}

/** Where each bolt stands, up (toward 12) and toward 3. Millimetres. */
const boltPlace = ({ clock, radius }: FlangeBolt): { readonly v: number; readonly h: number } => {
  const [c, s] = clockVector(clock)
  return { v: radius * c, h: radius * s }
}

/**
 * The plane that lies closest to the tops of these thicknesses, least squares; what a flange does that gives a little.
 * Needs three bolts that do not stand in a row. Source: docs/methods/vertical-flange.md.
 */
export const flangePlane = (bolts: readonly FlangeBolt[], thickness: readonly Millimetres[]): FlangePlane => {
  const rows = bolts.map((b) => {
    const { v, h } = boltPlace(b)
    return [1, v, h] as const
  })
  const [centre = 0, v = 0, h = 0] = solveLinear(rows, thickness) ?? []
  const partner = partners(bolts)
  const sums = bolts.flatMap((_, i) => {
    const p = partner[i] as number
    return p > i ? [(thickness[i] as number) + (thickness[p] as number)] : []
  })
  return {
    centre,
    slope: { v, h },
    rock: sums.length > 0 ? Math.max(...sums) - Math.min(...sums) : null,
    off: Math.max(
      0,
      ...rows.map(([one, x, y], n) => Math.abs((thickness[n] as number) - (one * centre + v * x + h * y))),
    ),
  }
}

/** What the tops do to a flange that is clamped on them: the rock of its pairs, or twice the furthest top where it has none. */
export const rockOf = ({ rock, off }: Pick<FlangePlane, 'rock' | 'off'>): Millimetres => rock ?? 2 * off
