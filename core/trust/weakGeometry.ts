import { joinPlaneInto, type DialCircle, type Join } from '../coupling/dialCircle'
import { circleWeights, type CircleWeights } from '../fit/circleSolver'
import { judgedQuantities, type JudgedQuantity } from '../judge/quantities'
import type { SettledTolerance } from '../judge/tolerance'
import type { Millimetres } from '../units/unitSystem'

/** A judged quantity of which one graduation of error in one reading alone would use too much. */
export interface WeakQuantity {
  readonly name: string
  readonly kind: 'displacement' | 'slope'
  /** What one graduation in the reading that weighs most makes of it, millimetres or mm/mm. */
  readonly effect: number
  /** Half of its limit, which that may not pass. */
  readonly limit: number
  /** What would mend it: planes further apart, a larger swing, or only a finer dial. */
  readonly remedy: 'apart' | 'diameter' | 'finer-dial'
  /** How far apart the planes are, or how large the smallest swing is. */
  readonly has: Millimetres
  /** How far apart, or how large, it would have to be; null when no such size serves. */
  readonly needs: Millimetres | null
}

/** One graduation may use this share of a judged limit. */
const SHARE = 0.5
/** Larger than any coupling: beyond it a set-up is not worth naming. Millimetres. */
const LARGEST = 20_000

/** Both circles of a set-up; null where only the other was read. */
export type ReadCircles = readonly [DialCircle | null, DialCircle | null]

/** The set-up as large as `size`: planes no nearer, swings no smaller. */
const enlarged = (circles: ReadCircles, join: Join, size: Millimetres) => {
  const [a, b] = circles
  const lever = (c: DialCircle | null) =>
    c?.reads === 'slope' ? Math.sign(c.lever) * Math.max(Math.abs(c.lever), size / 2) : (c?.lever ?? 1)
  const [xa, xb] = [a?.plane ?? 0, b?.plane ?? 0]
  if (join.kind !== 'two-positions') return { levers: [lever(a), lever(b)], planes: [xa, xb] } as const
  const more = Math.max(0, size - Math.abs(xb - xa)) / 2
  const way = xb >= xa ? 1 : -1
  return { levers: [lever(a), lever(b)], planes: [xa - way * more, xb + way * more] } as const
}

/** What one graduation in one reading makes of a quantity at most, with the set-up as large as `size`. */
const effectOf = (
  quantity: JudgedQuantity,
  circles: ReadCircles,
  weights: readonly (CircleWeights | null)[],
  join: Join,
  size: Millimetres,
  graduation: Millimetres,
): number => {
  const { levers, planes } = enlarged(circles, join, size)
  const line = new Float64Array(4)
  let most = 0
  circles.forEach((circle, which) => {
    const of = weights[which]
    if (!circle || !of) return
    // Half the difference of two dials moves by half of what one of them does.
    const unit = graduation / (circle.dials ?? 1) / (levers[which] as number)
    joinPlaneInto(join, which === 0 ? unit : 0, which === 1 ? unit : 0, planes[0], planes[1], line, 0)
    const [offset = 0, , slope = 0] = line
    circle.readings.forEach((_, i) => {
      const parts = quantity.terms.map(
        (t) =>
          (t.offsetFactor * offset + t.slopeFactor * slope) *
          ((t.plane === 'v' ? of.cos[i] : of.sin[i]) as number),
      )
      most = Math.max(most, Math.hypot(...parts))
    })
  })
  return most
}

/**
 * Judged quantities that this set-up can't tell: planes close together or a small swing make a good fit
 * worthless. Says how large the set-up would have to be for one graduation to use half of the limit.
 * Quantities with an open side, and those that were not read, are left out
 * (docs/methods/fit-readings.md).
 */
export const weakGeometry = (
  circles: ReadCircles,
  join: Join,
  graduation: Millimetres,
  tolerance: SettledTolerance,
): readonly WeakQuantity[] => {
  const weights = circles.map((c) => c && circleWeights(c.readings))
  const [a, b] = circles
  const swings = [a, b].flatMap((c) => (c?.reads === 'slope' ? [2 * Math.abs(c.lever)] : []))
  const apart = join.kind === 'two-positions'
  const has = apart ? Math.abs((b?.plane ?? 0) - (a?.plane ?? 0)) : Math.min(...swings)
  return judgedQuantities(tolerance).flatMap((quantity): readonly WeakQuantity[] => {
    const [first] = quantity.terms
    const bounds = quantity.terms.flatMap((t) => t.band)
    if (!first || bounds.some((x) => x === null)) return []
    const limit = Math.min(...quantity.terms.map(({ band: [low, high] }) => ((high ?? 0) - (low ?? 0)) / 2))
    const effect = (size: Millimetres) => effectOf(quantity, circles, weights, join, size, graduation)
    const most = SHARE * limit
    const now = effect(0)
    if (!(now > most * (1 + 1e-9))) return []
    const base = { name: quantity.name, kind: first.kind, effect: now, limit: most } as const
    if (!Number.isFinite(has) || effect(LARGEST) > most)
      return [{ ...base, remedy: 'finer-dial', has: Number.isFinite(has) ? has : 0, needs: null }]
    let [low, high] = [has, LARGEST]
    while (high - low > 1e-6 * high) {
      const middle = (low + high) / 2
      if (effect(middle) > most) low = middle
      else high = middle
    }
    return [{ ...base, remedy: apart ? 'apart' : 'diameter', has, needs: high }]
  })
}
