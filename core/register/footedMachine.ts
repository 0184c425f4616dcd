import type { FootPlane } from '../coupling/feet'
import { remember } from '../logbook/remember'
import { MACHINE_ROLES, type MachineRole } from '../plan/pairNames'
import { toCore } from '../units/unitSystem'
import type { MeasuredMachine } from './measuredMachine'
import type { PairPacks, RegisteredPair } from './pair'

/** A motor on feet that is measured against what it drives, however that one stands; in the record's own units. */
export interface FootedMachine extends MeasuredMachine {
  readonly drive: 'coupled' | 'drum'
  /** Foot pairs of each machine, two or more of the movable one, nearest the coupling first. */
  readonly feet: Readonly<Record<MachineRole, readonly RegisteredPair[]>>
}

/** The registered packs of both machines in millimetres. */
export const registeredPacks = remember((machine: FootedMachine): readonly PairPacks[] => {
  const thick = (t: number) => toCore(t, 'displacement', machine.units)
  return MACHINE_ROLES.flatMap((role) =>
    machine.feet[role].map((f) => ({
      machine: role,
      id: f.id,
      packs: { left: f.existing.left.map(thick), right: f.existing.right.map(thick) },
    })),
  )
})

/** Where the register says the feet of one machine stand, millimetres; feet that nobody taped are left out. */
const registeredFeet = (machine: FootedMachine, role: MachineRole): readonly FootPlane[] =>
  machine.feet[role].flatMap((f) =>
    f.x === null ? [] : [{ id: f.id, x: toCore(f.x, 'distance', machine.units) }],
  )

/** Registered feet of the movable machine. */
export const movableFeet = remember((machine: FootedMachine) => registeredFeet(machine, 'movable'))
/** Registered feet of the stationary machine. */
export const stationaryFeet = remember((machine: FootedMachine) => registeredFeet(machine, 'stationary'))
