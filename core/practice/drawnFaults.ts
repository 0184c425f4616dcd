import { settable } from './drive/driveBench'
import { chanceFor } from './chance'
import { COUPLED_FAULTS, DIAL_FAULTS, DRIVE_FAULTS, type BenchFault, type FaultsHidden } from './faults'
import type { TrySetting } from './setting'

/** Faults that one and the same machine can't show at once: each would hide the other. */
const APART: readonly (readonly BenchFault[])[] = [
  ['slipping-bracket', 'sticking-needle', 'backlash', 'counts-other-way'],
  ['soft-foot', 'bent-foot'],
  ['turned-motor', 'wobbling-sheave'],
  ['mismatched-belt', 'bedding-belts'],
]

type Machine = TrySetting['machine']

const fits = (fault: BenchFault, machine: Machine): boolean => {
  if (machine.drive === 'coupled') {
    const { method } = machine.usual
    // Heads have no needle, no bar and no rim, and know themselves where they stand.
    if (method === 'heads') return !DIAL_FAULTS.some((f) => f === fault)
    // A dial on a rim does not feel a shaft that creeps along itself.
    return fault !== 'float' || method === 'rim-face'
  }
  const { sheaves, belts } = machine
  switch (fault) {
    case 'unequal-rims':
      return sheaves.motor.depthOuter !== sheaves.driven.depthOuter
    case 'mismatched-belt':
      return belts.count > 1
    case 'changed-sheave':
      return settable(machine) !== null
    // Belts that have run bed in no more: in free practice they are the ones that are there.
    case 'bedding-belts':
      return false
    default:
      return true
  }
}

/** What free practice hides in a machine: none, one, or two to three that can be told apart. The same seed hides the same. */
export const drawnFaults = (seed: number, hidden: FaultsHidden, machine: Machine): readonly BenchFault[] => {
  if (hidden === 'none') return []
  const random = chanceFor(seed, 'hidden')
  const wanted = hidden === 'one' ? 1 : 2 + Math.floor(2 * random())
  let left: readonly BenchFault[] = (machine.drive === 'belt' ? DRIVE_FAULTS : COUPLED_FAULTS).filter((f) =>
    fits(f, machine),
  )
  const drawn: BenchFault[] = []
  while (drawn.length < wanted && left.length > 0) {
    const fault = left[Math.floor(random() * left.length)] as BenchFault
    drawn.push(fault)
    left = left.filter((f) => f !== fault && !APART.some((set) => set.includes(f) && set.includes(fault)))
  }
  return drawn
}
