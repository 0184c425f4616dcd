import type { Bounds, VHBounds } from '../coupling/feelerBounds'
import { judgedQuantities, type JudgedTerm } from './quantities'
import type { SettledTolerance } from './tolerance'

export interface BoundVerdict {
  readonly name: string
  readonly kind: 'displacement' | 'slope'
  readonly bounds: Bounds
  readonly low: number | null
  readonly high: number | null
  /** In when the whole interval lies inside, out when none of it does, else unknown. */
  readonly verdict: 'in' | 'out' | 'unknown'
}

const termBounds = (term: JudgedTerm, line: { offset: VHBounds; slope: VHBounds }): Bounds => {
  let low: number | null = 0
  let high: number | null = 0
  for (const [factor, part] of [
    [term.offsetFactor, line.offset],
    [term.slopeFactor, line.slope],
  ] as const) {
    if (factor === 0) continue
    const [a, b] = factor > 0 ? part[term.plane] : [part[term.plane][1], part[term.plane][0]]
    low = low === null || a === null ? null : low + factor * a
    high = high === null || b === null ? null : high + factor * b
  }
  return [low, high]
}

const lengthBounds = (parts: readonly Bounds[]): Bounds => {
  const nearest = parts.map(([low, high]) =>
    low !== null && low > 0 ? low : high !== null && high < 0 ? -high : 0,
  )
  const known = parts.every(([low, high]) => low !== null && high !== null)
  return [
    Math.hypot(...nearest),
    known
      ? Math.hypot(...parts.map(([low, high]) => Math.max(Math.abs(low ?? 0), Math.abs(high ?? 0))))
      : null,
  ]
}

/** Judges what is only bounded (go/no-go feelers) against a tolerance; no target, as read. */
export const judgeBounds = (
  line: { readonly offset: VHBounds; readonly slope: VHBounds },
  tolerance: SettledTolerance,
): readonly BoundVerdict[] =>
  judgedQuantities(tolerance).map((quantity) => {
    const [first] = quantity.terms as [JudgedTerm]
    const vector = quantity.terms.length > 1
    const parts = quantity.terms.map((t) => termBounds(t, line))
    const bounds = vector ? lengthBounds(parts) : (parts[0] as Bounds)
    const [low, high] = vector ? ([null, first.band[1]] as const) : first.band
    const [least, most] = bounds
    const within =
      (low === null || (least !== null && least >= low)) && (high === null || (most !== null && most <= high))
    const outside =
      (low !== null && most !== null && most < low) || (high !== null && least !== null && least > high)
    return {
      name: quantity.name,
      kind: first.kind,
      bounds,
      low,
      high,
      verdict: within ? 'in' : outside ? 'out' : 'unknown',
    }
  })
