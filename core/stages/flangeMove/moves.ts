import { compareTilt, type AchievedTilt } from '../../flange/achievedTilt'
import { lineDifference, lineSum, type Misalignment } from '../../frame/planes'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import type { BoltLeaves, FlangeShape } from '../../register/flangeMachine'
import { doubtOfSd, typicalSd } from '../../uncertainty/changeDoubt'
import type { Measurement } from '../measure/measurement'
import { boltWorkOf, type BoltWork } from './boltWork'
import { watchFlangePush, type FlangePushWatch } from './push'
import type { FlangeRound } from './rounds'

/** A move as it was made, beside the plan it came from and what the next measurement says of it. */
export interface FlangeMoveRecord {
  readonly entry: LogEntry<'flange-moved'>
  readonly planned: { readonly entry: LogEntry<'flange-plan-chosen'>; readonly work: BoltWork } | null
  readonly work: BoltWork
  /** Where the axis should stand after it; null when it was unknown before. */
  readonly predicted: Misalignment | null
  /** What the shims did to the tilt; null where no shim was touched, or it was not read again. */
  readonly tilt: AchievedTilt | null
  /** What the push did to the offset; null where nothing was pushed, or it was not read again. */
  readonly pushed: AchievedTilt | null
  readonly push: FlangePushWatch | null
}

/** How flange and leaves stand after a move. */
export interface FlangeWalked {
  readonly leaves: BoltLeaves
  /** Where the last move should have brought the axis; null when it was unknown before. */
  readonly predicted: Misalignment | null
  readonly record: FlangeMoveRecord | null
}

/** What two sets of one round differed by; null where there are not two. */
const differed = ({ sets, used }: Measurement): Misalignment | null => {
  const lines = sets
    .filter((s) => used.includes(s.set.entry.id))
    .flatMap((s) => (s.set.measured ? [s.set.measured.coupling] : []))
  const [a, b] = lines.slice(-2)
  return a && b ? lineDifference(b, a) : null
}

/** Nothing moved yet: these leaves lie under the bolts. */
export const flangeAtStart = remember((leaves: BoltLeaves): FlangeWalked => ({
  leaves,
  predicted: null,
  record: null,
}))

/** One round's move with everything known of it; remembered along the chain of rounds. */
export const afterFlangeMove = remember(
  (
    walked: FlangeWalked,
    round: FlangeRound,
    before: Measurement,
    after: Measurement,
    shape: FlangeShape,
  ): FlangeWalked => {
    const { move, plan, counts } = round
    if (!move) return walked
    const work = boltWorkOf(move, walked.leaves, shape)
    const planned = plan && { entry: plan, work: boltWorkOf(plan, walked.leaves, shape) }
    const from = before.coupling ?? walked.predicted
    const predicted = from && lineSum(from, work.change)
    const doubt = doubtOfSd(typicalSd(differed(after) ?? differed(before)))
    const compare = (of: 'slope' | 'offset') =>
      before.coupling && after.coupling
        ? compareTilt({
            before: before.coupling,
            after: after.coupling,
            planned: work.change,
            of,
            bolts: shape.bolts.length,
            doubt,
          })
        : null
    return {
      leaves: work.leaves,
      predicted,
      record: {
        entry: move,
        planned,
        work,
        predicted,
        tilt: work.plane ? compare('slope') : null,
        pushed: work.push && !work.plane ? compare('offset') : null,
        push: watchFlangePush(planned?.work.push ?? work.push, counts),
      },
    }
  },
)
