import { compareAchieved, type AchievedPlane } from '../../coupling/achieved'
import { lineSum, PLANES, type Misalignment, type Plane } from '../../frame/planes'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import { repeatLimit } from '../../trust/repeat'
import type { Millimetres } from '../../units/unitSystem'
import type { Measurement } from '../measure/measurement'
import type { SetUp } from '../setUp/setUp'
import type { Footwork } from './footwork'

/** A move as it was made, beside the plan it came from and what the next measurement says of it. */
export interface MoveRecord {
  readonly entry: LogEntry<'move-made'>
  readonly planned: { readonly entry: LogEntry<'plan-chosen'>; readonly footwork: Footwork } | null
  readonly footwork: Footwork
  /** Where the axis should stand after it; null when it was unknown before. */
  readonly predicted: Misalignment | null
  /** Filled once the next measurement is in: planes that were moved on purpose. */
  readonly achieved: readonly AchievedPlane[] | null
  /** Planes that nothing was done in, with what they did all the same at each foot pair. */
  readonly carriedAlong: readonly AchievedPlane[]
  /** Planes in which something other than the plan was done. */
  readonly strayed: readonly Plane[]
}

/** Measuring alone may be off by this much at the feet before a move is called different. */
const allowanceOf = (setUp: SetUp): Millimetres => 2 * repeatLimit(setUp.units, setUp.coarsest)

const sameMoves = (a: Footwork, b: Footwork, plane: Plane): boolean =>
  a.moves.every((m, i) => Math.abs(m[plane] - (b.moves[i]?.[plane] ?? 0)) < 1e-6)

/**
 * What a move did, measured before and after, against what was made: a plan that was only carried
 * out in one plane is not blamed for the other.
 */
const compared = remember(
  (made: Footwork, before: Misalignment, after: Misalignment, setUp: SetUp): readonly AchievedPlane[] =>
    compareAchieved(before, after, made.change, setUp.feet, { allowance: allowanceOf(setUp) }),
)

/** One move with everything that is known of it. */
export const recordMove = (given: {
  readonly entry: LogEntry<'move-made'>
  readonly planned: MoveRecord['planned']
  readonly footwork: Footwork
  readonly from: Misalignment | null
  readonly before: Measurement
  readonly after: Measurement
  readonly setUp: SetUp | null
}): MoveRecord => {
  const { entry, planned, footwork, from, setUp } = given
  const before = given.before.coupling
  const after = given.after.coupling
  const planes = before && after && setUp ? compared(footwork, before, after, setUp) : null
  return {
    entry,
    planned,
    footwork,
    predicted: from ? lineSum(from, footwork.change) : null,
    achieved: planes && planes.filter((p) => footwork.planes[p.plane]),
    carriedAlong: (planes ?? []).filter((p) => !footwork.planes[p.plane]),
    strayed: planned
      ? PLANES.filter((p) => footwork.planes[p] && !sameMoves(footwork, planned.footwork, p))
      : [],
  }
}
