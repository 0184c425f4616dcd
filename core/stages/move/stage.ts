import type { LogEntry } from '../../logbook/entry'
import { defineStage, invalid, type Objection } from '../../logbook/stage'
import type { CoupledMachine } from '../../register/machine'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import { isBelieved, isInBand, type Measurement } from '../measure/measurement'
import type { PlanRecord } from '../plan/plans'
import type { MoveRecord } from './moves'

interface Sees {
  readonly machine: CoupledMachine
  readonly safety: Safety
  readonly measurements: readonly Measurement[]
  readonly moves: readonly MoveRecord[]
  readonly plan: PlanRecord | null
}

/** Whether every foot that an entry names is this machine's. */
export const footObjection = (
  machine: CoupledMachine,
  { payload }: LogEntry<'move-made' | 'plan-chosen'>,
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
  writes: ['move-made'],
  skip: 'each-round',
  mark: (job: Sees) => (job.moves.length > 0 && !job.plan ? 'done' : 'todo'),
  wants: (job) =>
    (job.plan !== null && !job.plan.stale) || (isBelieved(latest(job)) && !isInBand(latest(job))),
  objection: ({ machine, safety }, entry) => {
    if (entry.kind !== 'move-made') return null
    const wrong = footObjection(machine, entry)
    if (wrong) return wrong
    const { changes, side } = entry.payload
    const idle =
      changes.every((c) => c.takenOut.length + c.putIn.length === 0) && side.every((c) => c.moved === 0)
    return idle ? invalid('nothing-moved', 'payload') : lockoutObjection(safety)
  },
})
