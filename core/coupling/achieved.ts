import { PLANES, positionAt, type Misalignment, type Plane } from '../frame/planes'
import type { Millimetres } from '../units/unitSystem'
import type { FootPlane } from './feet'

export type AchievedCause =
  'as-planned' | 'nothing-happened' | 'sign-swapped' | 'feet-swapped' | 'part-only' | 'differs'

/** Planned against measured in one plane, at each foot pair. */
export interface AchievedPlane {
  readonly plane: Plane
  readonly feet: readonly {
    readonly id: string
    readonly planned: Millimetres
    readonly achieved: Millimetres
  }[]
  readonly cause: AchievedCause
}

/** Part of a move that still counts as part, not as a miss. */
const PART = [0.2, 0.8] as const

/**
 * Compares what a move did with what it was meant to do, plane by plane, and names the likeliest
 * cause of a gap. `allowance` is what measuring alone may be off by at the feet, millimetres.
 * Null where either measurement lacks the plane. Source: chapter 2, Planned against achieved.
 */
export const compareAchieved = (
  before: Misalignment,
  after: Misalignment,
  planned: Misalignment,
  feet: readonly FootPlane[],
  allowance: Millimetres,
): readonly AchievedPlane[] =>
  PLANES.flatMap((plane): readonly AchievedPlane[] => {
    const rows = feet.map(({ id, x }) => ({
      id,
      planned: positionAt(planned, x)[plane],
      before: positionAt(before, x)[plane],
      after: positionAt(after, x)[plane],
    }))
    if (rows.some((r) => r.planned === null || r.before === null || r.after === null)) return []
    const known = rows.map((r) => ({
      id: r.id,
      planned: r.planned as number,
      achieved: (r.after as number) - (r.before as number),
    }))
    return [{ plane, feet: known, cause: causeOf(known, allowance) }]
  })

const causeOf = (
  feet: readonly { readonly planned: number; readonly achieved: number }[],
  allowance: Millimetres,
): AchievedCause => {
  const biggest = Math.max(...feet.map((f) => Math.abs(f.planned)))
  const within = Math.max(allowance, 0.1 * biggest)
  const all = (miss: (f: { planned: number; achieved: number }, i: number) => number) =>
    feet.every((f, i) => Math.abs(miss(f, i)) <= within)
  if (all((f) => f.achieved - f.planned)) return 'as-planned'
  if (biggest <= within) return 'differs'
  if (all((f) => f.achieved)) return 'nothing-happened'
  if (all((f) => f.achieved + f.planned)) return 'sign-swapped'
  const mirrored = [...feet].reverse()
  if (feet.length > 1 && all((f, i) => f.achieved - (mirrored[i]?.planned ?? 0))) return 'feet-swapped'
  const squares = feet.reduce((s, f) => s + f.planned ** 2, 0)
  const part = feet.reduce((s, f) => s + f.planned * f.achieved, 0) / squares
  if (part >= PART[0] && part <= PART[1] && all((f) => f.achieved - part * f.planned)) return 'part-only'
  return 'differs'
}
