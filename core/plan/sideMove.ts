import { eachPlane, lineSum, type Misalignment } from '../frame/planes'
import { planeShare } from '../judge/judge'
import { judgedQuantities } from '../judge/quantities'
import type { SettledTolerance } from '../judge/tolerance'
import type { Millimetres } from '../units/unitSystem'
import { lineOfMoves } from '../coupling/feet'

export interface SideFoot {
  readonly id: string
  readonly x: Millimetres
  /** Room toward 3 and toward 9 in the bolt holes. */
  readonly sidePlus: Millimetres
  readonly sideMinus: Millimetres
}

const withSideMoves = (
  line: Misalignment,
  feet: readonly [SideFoot, SideFoot],
  h: readonly [number, number],
): Misalignment =>
  lineSum(
    line,
    lineOfMoves([
      { id: feet[0].id, x: feet[0].x, v: 0, h: h[0] },
      { id: feet[1].id, x: feet[1].x, v: 0, h: h[1] },
    ]),
  )

const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value))

/** The line that a plan aims at: the target, or the middle of a window where that is absolute. */
export const aimOf = (tolerance: SettledTolerance, target: Misalignment): Misalignment => {
  if (tolerance.form !== 'window') return target
  const middle = ([low, high]: readonly [number | null, number | null]): number =>
    low !== null && high !== null ? (low + high) / 2 : (low ?? high ?? 0)
  return {
    offset: eachPlane((p) => middle(tolerance.offset[p])),
    slope: eachPlane((p) => middle(tolerance.slope[p])),
  }
}

/**
 * Side moves at two foot pairs that bring the worst share of a limit as low as the room in the
 * bolt holes allows. Exact: the share is a largest-of-straight-lines function of the moves, so its
 * least value inside the room lies at the unhindered answer, on a corner, or where two of its
 * straight pieces cross along an edge. Millimetres.
 */
export const bestSideMoves = (
  line: Misalignment,
  tolerance: SettledTolerance,
  target: Misalignment,
  feet: readonly [SideFoot, SideFoot],
): readonly [Millimetres, Millimetres] => {
  const aim = aimOf(tolerance, target)
  const bounds = feet.map((f) => [-f.sideMinus, f.sidePlus] as const) as [
    readonly [number, number],
    readonly [number, number],
  ]
  const wish = feet.map((f) => {
    const now = (line.offset.h ?? 0) + (line.slope.h ?? 0) * f.x
    return (aim.offset.h ?? 0) + (aim.slope.h ?? 0) * f.x - now
  }) as [number, number]
  const free = wish.map((w, i) => clamp(w, ...(bounds[i] as readonly [number, number]))) as [number, number]
  if (free[0] === wish[0] && free[1] === wish[1]) return free

  const shareAt = (h: readonly [number, number]) =>
    planeShare(withSideMoves(line, feet, h), tolerance, target, 'h')
  const candidates: [number, number][] = [free]
  const pieces = judgedQuantities(tolerance)
    .flatMap((q) => q.terms)
    .filter((t) => t.plane === 'h')
  for (const fixed of [0, 1] as const)
    for (const bound of bounds[fixed]) {
      const [low, high] = bounds[1 - fixed] as readonly [number, number]
      const at = (y: number): [number, number] => (fixed === 0 ? [bound, y] : [y, bound])
      candidates.push(at(low), at(high))
      // Each piece is straight along this edge: two samples give it, two pieces cross at most once.
      const straight = pieces.flatMap((term) => {
        const [bandLow, bandHigh] = term.band
        const valueAt = (y: number) => {
          const moved = withSideMoves(line, feet, at(y))
          const o = (moved.offset.h ?? 0) - (term.fromTarget ? (target.offset.h ?? 0) : 0)
          const s = (moved.slope.h ?? 0) - (term.fromTarget ? (target.slope.h ?? 0) : 0)
          return term.offsetFactor * o + term.slopeFactor * s
        }
        const v0 = valueAt(0)
        const rate = valueAt(1) - v0
        const half =
          bandLow !== null && bandHigh !== null
            ? (bandHigh - bandLow) / 2
            : Math.abs(bandLow ?? bandHigh ?? 1) || 1
        const middle =
          bandLow !== null && bandHigh !== null ? (bandLow + bandHigh) / 2 : (bandLow ?? bandHigh ?? 0)
        return [
          { at0: (v0 - middle) / half, rate: rate / half },
          { at0: -(v0 - middle) / half, rate: -rate / half },
        ]
      })
      for (const [i, a] of straight.entries())
        for (const b of straight.slice(i + 1)) {
          if (a.rate === b.rate) continue
          const y = (b.at0 - a.at0) / (a.rate - b.rate)
          if (y > low && y < high) candidates.push(at(y))
        }
    }
  return candidates.reduce((best, c) => (shareAt(c) < shareAt(best) ? c : best))
}
