import { conflict, defineStage, invalid } from '../../logbook/stage'
import type { BoltLeaves, FlangeShape } from '../../register/flangeMachine'
import type { FlangeMachine } from '../../register/machine'
import type { Spigot } from '../flangeLook/flangeFound'
import { boltObjection } from '../flangeLook/stage'
import type { FlangeNeed } from '../flangePlan/need'
import type { FlangePlanRecord } from '../flangePlan/plans'
import { helps } from '../flangePlan/stage'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import { isBelieved, type Measurement } from '../measure/measurement'
import { MOST_LEAVES } from '../move/stage'
import { boltWorkOf } from './boltWork'
import type { FlangeMoveRecord } from './moves'

interface Sees {
  readonly machine: FlangeMachine
  readonly safety: Safety
  readonly measurements: readonly Measurement[]
  readonly moves: readonly FlangeMoveRecord[]
  readonly plan: FlangePlanRecord | null
  readonly need: FlangeNeed
  readonly spigot: Spigot
  readonly leaves: BoltLeaves
  readonly shape: FlangeShape
}

const latest = (job: Sees): Measurement => job.measurements[job.measurements.length - 1] as Measurement

/** Shims laid under the bolts, or the flange pushed, and what was really done written down. */
export const flangeMove = defineStage({
  id: 'move',
  writes: ['flange-moved', 'flange-counts-read', 'bolts-named'],
  skip: 'each-round',
  mark: (job: Sees) => (job.moves.length > 0 && !job.plan ? 'done' : 'todo'),
  wants: (job) => (job.plan !== null && !job.plan.stale) || (isBelieved(latest(job)) && helps(job.need)),
  objection: ({ machine, safety, spigot, leaves, shape }, entry) => {
    if (entry.kind === 'flange-counts-read') return lockoutObjection(safety)
    if (entry.kind !== 'flange-moved') return null
    const { changes, pushed } = entry.payload
    const wrong = boltObjection(
      machine,
      changes.map((c) => c.bolt),
      'changes',
    )
    if (wrong) return wrong
    const still = pushed === null || (pushed.v === 0 && pushed.h === 0)
    if (still && changes.every((c) => c.takenOut.length + c.putIn.length === 0))
      return invalid('nothing-moved', 'payload')
    if (!still && spigot.fit === 'tight') return conflict('spigot-tight')
    // A correction takes the place of a move already counted: what lies under the bolts is folded anew.
    const after = entry.supersedes ? [] : boltWorkOf(entry, leaves, shape).leaves
    if (after.some((l) => l.length > MOST_LEAVES)) return invalid('too-many-leaves', 'payload', 'changes')
    return lockoutObjection(safety)
  },
})
