import { compareAchieved, type AchievedPlane } from '../../coupling/achieved'
import type { FootPlane } from '../../coupling/feet'
import { lineSum, PLANES, positionAt, type Misalignment, type Plane } from '../../frame/planes'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import { doubtOfMove, doubtOfSd, typicalSd, type ChangeDoubt } from '../../uncertainty/changeDoubt'
import type { Measurement } from '../measure/measurement'
import { readRound } from '../measure/readRound'
import type { SetUp } from '../setUp/setUp'
import { withDrift, type MoveEvidence } from './evidence'
import type { FeetOf, Footwork } from './footwork'
import { watchPush, type Counts, type PushWatch } from './push'

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
  /** Its dials, and what tightening shifted. */
  readonly push: PushWatch
  /** Planes in which something other than the plan was done. */
  readonly strayed: readonly Plane[]
}

/** How far the change between two rounds may be off; that of ordinary hands when they don't tell. */
const doubtOf = (made: Misalignment, before: Measurement, after: Measurement, setUp: SetUp): ChangeDoubt => {
  const [from, to] = [readRound(before), readRound(after)]
  const near = setUp.feet[0]
  const far = setUp.feet[setUp.feet.length - 1]
  // How the axis shifts over each foot, whichever machine was moved for it.
  const movesOf = ({ x }: FootPlane) => {
    const { v, h } = positionAt(made, x)
    return { v: v ?? 0, h: h ?? 0 }
  }
  const doubt =
    from && to && near && far && near !== far
      ? doubtOfMove({
          before: from,
          after: to,
          graduation: setUp.coarsest,
          feet: [near, far],
          moves: [movesOf(near), movesOf(far)],
        })
      : null
  return doubt ?? doubtOfSd(typicalSd(null))
}

const sameMoves = (a: Footwork, b: Footwork, plane: Plane): boolean =>
  a.moves.every((m, i) => Math.abs(m[plane] - (b.moves[i]?.[plane] ?? 0)) < 1e-6)

/**
 * What a move did, measured before and after, against what was made: a plan that was only carried
 * out in one plane is not blamed for the other.
 */
const compared = remember(
  (
    made: Footwork,
    before: Measurement,
    after: Measurement,
    setUp: SetUp,
    evidence: MoveEvidence,
  ): readonly AchievedPlane[] | null =>
    before.coupling && after.coupling && made.change && setUp.feet.length > 0
      ? compareAchieved(before.coupling, after.coupling, made.change, setUp.feet, {
          doubt: doubtOf(made.change, before, after, setUp),
          ...evidence,
        })
      : null,
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
  readonly evidence: MoveEvidence
  readonly counts: Counts
  readonly feet: FeetOf
}): MoveRecord => {
  const { entry, planned, footwork, from, before, after, setUp, evidence } = given
  const push = watchPush(planned?.footwork ?? null, given.feet, given.counts)
  const known = push.drift?.over ? withDrift(evidence) : evidence
  const planes = setUp ? compared(footwork, before, after, setUp, known) : null
  return {
    entry,
    planned,
    footwork,
    predicted: from && footwork.change ? lineSum(from, footwork.change) : null,
    achieved: planes && planes.filter((p) => footwork.planes[p.plane]),
    push,
    carriedAlong: (planes ?? []).filter((p) => !footwork.planes[p.plane]),
    strayed: planned
      ? PLANES.filter((p) => footwork.planes[p] && !sameMoves(footwork, planned.footwork, p))
      : [],
  }
}
