import type { FootPlane } from '../coupling/feet'
import { remember } from '../logbook/remember'
import { MACHINE_ROLES, type MachineRole } from '../plan/planFoot'
import type { TargetPayload } from '../stages/target/entries'
import { toCore } from '../units/unitSystem'
import type { MeasuredMachine } from './measuredMachine'
import type { PairPacks, RegisteredPair } from './pair'

/** Two machines on feet joined by a coupling, in the record's own units. */
export interface CoupledMachine extends MeasuredMachine {
  readonly drive: 'coupled'
  /** Foot pairs of each machine, two or more of the movable one, nearest the coupling first. */
  readonly feet: Readonly<Record<MachineRole, readonly RegisteredPair[]>>
  /** Where its movable axis is to lie cold, as the last job left it. */
  readonly target?: TargetPayload
}

/** The registered packs of both machines in millimetres. */
export const registeredPacks = remember((machine: CoupledMachine): readonly PairPacks[] => {
  const thick = (t: number) => toCore(t, 'displacement', machine.units)
  return MACHINE_ROLES.flatMap((role) =>
    machine.feet[role].map((f) => ({
      machine: role,
      id: f.id,
      packs: { left: f.existing.left.map(thick), right: f.existing.right.map(thick) },
    })),
  )
})

/** Where the register says the feet of one machine stand, millimetres. */
const registeredFeet = (machine: CoupledMachine, role: MachineRole): readonly FootPlane[] =>
  machine.feet[role].map((f) => ({ id: f.id, x: toCore(f.x, 'distance', machine.units) }))

/** Registered feet of the movable machine. */
export const movableFeet = remember((machine: CoupledMachine) => registeredFeet(machine, 'movable'))
/** Registered feet of the stationary machine. */
export const stationaryFeet = remember((machine: CoupledMachine) => registeredFeet(machine, 'stationary'))
