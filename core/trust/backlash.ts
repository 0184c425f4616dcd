import { feetFor, type FootPlane, type FootResult } from '../coupling/feet'
import type { DialArrangement, DialCircle } from '../coupling/dialCircle'
import { fitHarmonic } from '../fit/harmonicFit'
import { eachPlane, lineDifference, lineSum, type Misalignment } from '../frame/planes'
import type { Degrees, Millimetres } from '../units/unitSystem'
import { repeatDifferences } from './repeat'

/** One dial at one position, turned to from either side. */
export interface BacklashPosition {
  readonly clock: Degrees
  /** Turned the second way less the first, each less its own set's constant. */
  readonly difference: Millimetres
  readonly over: boolean
}

/** What turning the other way does to one dial. */
export interface DialBacklash {
  readonly name: string
  readonly positions: readonly BacklashPosition[]
  /** The position where it differs most; null where nothing can be compared. */
  readonly worst: BacklashPosition | null
  /**
   * How far the dial trails round the clock: the angle between where it stands and where it is written
   * down, the second way against the first. Null where the dial travels too little to tell.
   */
  readonly lag: Degrees | null
  readonly over: boolean
}

export interface Backlash {
  readonly dials: readonly DialBacklash[]
  /** The dial that differs most. */
  readonly dial: string | null
  /** What the line reads the second way less the first. */
  readonly change: Misalignment
  /** What that change does to the moves at the feet. */
  readonly feet: readonly FootResult[]
  /** Half-way between both: what is left when the play works alike both ways. */
  readonly middle: Misalignment
  readonly over: boolean
}

/** A lag is told from a travel of at least this many limits. */
const TRAVEL = 4

const lagOf = (first: DialCircle, second: DialCircle, limit: Millimetres): Degrees | null => {
  const a = fitHarmonic(first.readings)
  const b = fitHarmonic(second.readings)
  if (!a.ok || !b.ok) return null
  const { cos: ac, sin: as } = a.value
  const { cos: bc, sin: bs } = b.value
  if (ac === null || as === null || bc === null || bs === null) return null
  if (2 * Math.min(Math.hypot(ac, as), Math.hypot(bc, bs)) < TRAVEL * limit) return null
  // r(clock + lag): the angle by which the second circle's high spot comes earlier.
  const turn = Math.atan2(bc * as - bs * ac, bc * ac + bs * as)
  return (turn * 180) / Math.PI
}

/**
 * The same positions turned to both ways: which dial differs where, by how much, how far it trails, and what
 * that does to the feet. Source: docs/methods/backlash.md.
 */
export const backlash = (
  first: { readonly arrangement: DialArrangement; readonly coupling: Misalignment },
  second: { readonly arrangement: DialArrangement; readonly coupling: Misalignment },
  by: { readonly limit: Millimetres; readonly feet: readonly FootPlane[] },
): Backlash => {
  const dials = first.arrangement.circles.map((circle, i): DialBacklash => {
    const other = second.arrangement.circles[i as 0 | 1]
    const positions = repeatDifferences(circle.readings, other.readings).map(({ clock, difference }) => ({
      clock,
      difference,
      over: Math.abs(difference) > by.limit * (1 + 1e-9),
    }))
    const worst = positions.reduce<BacklashPosition | null>(
      (most, p) => (!most || Math.abs(p.difference) > Math.abs(most.difference) ? p : most),
      null,
    )
    return {
      name: circle.name,
      positions,
      worst,
      lag: lagOf(circle, other, by.limit),
      over: positions.some((p) => p.over),
    }
  })
  const [most] = [...dials].sort(
    (a, b) => Math.abs(b.worst?.difference ?? 0) - Math.abs(a.worst?.difference ?? 0),
  )
  const change = lineDifference(second.coupling, first.coupling)
  const sum = lineSum(first.coupling, second.coupling)
  const half = (x: number | null) => (x === null ? null : x / 2)
  return {
    dials,
    dial: most?.worst ? most.name : null,
    change,
    feet: feetFor(change, by.feet),
    middle: { offset: eachPlane((p) => half(sum.offset[p])), slope: eachPlane((p) => half(sum.slope[p])) },
    over: dials.some((d) => d.over),
  }
}
