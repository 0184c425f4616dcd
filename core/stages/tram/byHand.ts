import type { Misalignment, Plane } from '../../frame/planes'
import { marginIn } from '../../judge/judge'
import { judgedQuantities } from '../../judge/quantities'
import type { SettledTolerance } from '../../judge/tolerance'
import type { Millimetres } from '../../units/unitSystem'

/** A shim, or a push, that is large enough to be read behind it and small enough to be taken out again. Starting value. */
export const TRIAL: Millimetres = 0.1

/** What one foot pair gets. Up, or toward 3, positive. */
export interface HandMove {
  readonly pair: string
  readonly by: Millimetres
}

/** A move without a tape: all feet alike, or a trial at the far ones that tells how far off they stand. */
export interface ByHand {
  readonly kind: 'alike' | 'trial'
  readonly moves: readonly HandMove[]
}

/** Where a quantity of this plane is to stand: in the middle of its band, at its open end clear of the bound. */
const errorOf = (
  quantity: 'offset' | 'slope',
  plane: Plane,
  line: Misalignment,
  tolerance: SettledTolerance,
): { readonly by: number; readonly out: boolean } | null => {
  const value = line[quantity][plane]
  const term = judgedQuantities(tolerance)
    .flatMap((q) => q.terms)
    .find((t) => t.plane === plane && t.kind === (quantity === 'offset' ? 'displacement' : 'slope'))
  if (value === null || !term) return null
  const [low, high] = term.band
  const aim = low !== null && high !== null ? (low + high) / 2 : 0
  const held = Math.min(high ?? Infinity, Math.max(low ?? -Infinity, aim))
  return { by: held - value, out: marginIn(value, term.band) < 0 }
}

/**
 * What to do in one plane while nobody knows how far off the feet stand: a face that is out is tried with one thin shim (or
 * push) at the far pair, whose reading then tells; else all feet go alike, which needs no distance. Null where nothing is to be done.
 */
export const moveByHand = (
  plane: Plane,
  line: Misalignment,
  tolerance: SettledTolerance,
  pairs: readonly string[],
): ByHand | null => {
  const slope = errorOf('slope', plane, line, tolerance)
  const offset = errorOf('offset', plane, line, tolerance)
  if (slope?.out) {
    const far = pairs.length - 1
    return {
      kind: 'trial',
      moves: pairs.map((pair, i) => ({ pair, by: i === far ? Math.sign(slope.by) * TRIAL : 0 })),
    }
  }
  if (!offset?.out) return null
  return { kind: 'alike', moves: pairs.map((pair) => ({ pair, by: offset.by })) }
}
