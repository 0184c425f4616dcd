import { conflict, invalid, type Objection } from '../../logbook/stage'
import { SIDES } from '../../plan/pairNames'
import type { FootedMachine } from '../../register/footedMachine'
import type { PairPacks } from '../../register/pair'
import type { UnitSystem } from '../../units/unitSystem'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { Measurement } from '../measure/measurement'
import type { FootChange, SideChange } from '../plan/entries'
import { doFootwork } from './footwork'
import { footObjection, MOST_LEAVES } from './stage'

interface Sees {
  readonly machine: FootedMachine
  readonly safety: Safety
  readonly packs: readonly PairPacks[]
  readonly measurements: readonly Measurement[]
}

/**
 * Why the feet can't be shimmed or pushed in preparing: feet the machine doesn't have, nothing moved, readings that
 * rest on the feet as they were, a pack too high, no lockout.
 */
export const shimObjection = (
  job: Sees,
  payload: {
    readonly units: UnitSystem
    readonly changes: readonly FootChange[]
    readonly side: readonly SideChange[]
  },
): Objection | null => {
  const wrong = footObjection(job.machine, payload)
  if (wrong) return wrong
  const { changes, side, units } = payload
  const idle =
    changes.every((c) => c.takenOut.length + c.putIn.length === 0) && side.every((s) => s.moved === 0)
  if (idle) return invalid('nothing-moved', 'payload')
  if (job.measurements[job.measurements.length - 1]?.sets.some((s) => s.leftOut === null))
    return conflict('read-already')
  const { packs } = doFootwork(job.packs, { movable: [], stationary: [] }, units, changes, [])
  if (packs.some((p) => SIDES.some((s) => p.packs[s].length > MOST_LEAVES)))
    return invalid('too-many-leaves', 'payload', 'changes')
  return lockoutObjection(job.safety)
}
