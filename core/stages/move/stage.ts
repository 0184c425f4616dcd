import type { LogEntry } from '../../logbook/entry'
import { defineStage, invalid, type Objection } from '../../logbook/stage'
import { SIDES } from '../../plan/pairNames'
import type { FootedMachine } from '../../register/footedMachine'
import type { PairPacks } from '../../register/pair'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import { isBelieved, isInBand, type Measurement } from '../measure/measurement'
import type { PlanRecord } from '../plan/plans'
import { footworkOf, type FeetOf } from './footwork'
import type { MoveRecord } from './moves'

/** More leaves than any register keeps under a foot. */
export const MOST_LEAVES = 20

interface Sees {
  readonly machine: FootedMachine
  readonly safety: Safety
  readonly measurements: readonly Measurement[]
  readonly moves: readonly MoveRecord[]
  readonly plan: PlanRecord | null
  readonly packs: readonly PairPacks[]
  readonly feet: FeetOf
}

/** Whether every foot that an entry names is this machine's. */
export const footObjection = (
  machine: FootedMachine,
  payload: Pick<LogEntry<'move-made'>['payload'], 'changes' | 'side'>,
): Objection | null => {
  for (const list of ['changes', 'side'] as const)
    for (const [i, c] of payload[list].entries())
      if (!machine.feet[c.machine].some((f) => f.id === c.pair))
        return invalid('no-such-feet', 'payload', list, i, 'pair')
  return null
}

const latest = (job: Sees): Measurement => job.measurements[job.measurements.length - 1] as Measurement

/** Shims in, side moves made, and what was really done written down. */
export const moveStage = defineStage({
  id: 'move',
  writes: ['move-made', 'counts-read', 'bolts-named'],
  skip: 'each-round',
  mark: (job: Sees) => (job.moves.length > 0 && !job.plan ? 'done' : 'todo'),
  wants: (job) =>
    (job.plan !== null && !job.plan.stale) || (isBelieved(latest(job)) && !isInBand(latest(job))),
  objection: ({ machine, safety, packs, feet }, entry) => {
    if (entry.kind === 'counts-read') {
      const at = entry.payload.counts.findIndex((c) => !machine.feet[c.machine].some((f) => f.id === c.pair))
      if (at >= 0) return invalid('no-such-feet', 'payload', 'counts', at, 'pair')
      return lockoutObjection(safety)
    }
    if (entry.kind !== 'move-made') return null
    const wrong = footObjection(machine, entry.payload)
    if (wrong) return wrong
    const { changes, side } = entry.payload
    const idle =
      changes.every((c) => c.takenOut.length + c.putIn.length === 0) && side.every((c) => c.moved === 0)
    if (idle) return invalid('nothing-moved', 'payload')
    // A correction takes the place of a move already counted: what lies under the feet is folded anew.
    const after = entry.supersedes ? [] : footworkOf(entry, packs, feet).packs
    if (after.some((p) => SIDES.some((side) => p.packs[side].length > MOST_LEAVES)))
      return invalid('too-many-leaves', 'payload', 'changes')
    return lockoutObjection(safety)
  },
})
