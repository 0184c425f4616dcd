import type { Misalignment } from '../../core/frame/planes'
import type { Verdict } from '../../core/judge/judge'
import type { Band } from '../../core/judge/tolerance'
import { toCore, type Millimetres, type UnitSystem } from '../../core/units/unitSystem'

/** What the tram sum answers, as far as its drawing needs it; contract units. */
export interface DrumAnswered {
  readonly coupling: Misalignment | null
  readonly feet: readonly { readonly x: number }[] | null
  readonly checks: readonly {
    readonly dial: 'rim' | 'face'
    readonly what: 'side' | 'top'
    readonly value: number
    readonly low: number | null
    readonly high: number | null
    readonly verdict: Verdict
  }[]
}

/** One reading on the scale of its window. Millimetres. */
export interface DrawnCheck {
  readonly dial: 'rim' | 'face'
  readonly what: 'side' | 'top'
  readonly value: Millimetres
  readonly band: Band
  readonly verdict: Verdict
}

/** The checks of a tram sum on their scales, and where the motor stands where that is known. Millimetres. */
export const drumFollows = (
  { coupling, feet, checks }: DrumAnswered,
  units: UnitSystem,
): {
  readonly checks: readonly DrawnCheck[]
  readonly line: Misalignment | null
  readonly feet: readonly Millimetres[]
} => {
  const small = (x: number | null) => (x === null ? null : toCore(x, 'displacement', units))
  const slope = (x: number | null) => (x === null ? null : toCore(x, 'slope', units))
  return {
    checks: checks.map(({ dial, what, value, low, high, verdict }) => ({
      dial,
      what,
      value: toCore(value, 'displacement', units),
      band: [small(low), small(high)],
      verdict,
    })),
    line: coupling && {
      offset: { v: small(coupling.offset.v), h: small(coupling.offset.h) },
      slope: { v: slope(coupling.slope.v), h: slope(coupling.slope.h) },
    },
    feet: (feet ?? []).map((f) => toCore(f.x, 'distance', units)),
  }
}
