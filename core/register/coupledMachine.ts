import type { TargetPayload } from '../stages/target/entries'
import type { MachineRole } from '../plan/pairNames'
import type { FootedMachine } from './footedMachine'
import type { TapedPair } from './pair'

/** Two machines on feet joined by a coupling, in the record's own units. */
export interface CoupledMachine extends FootedMachine {
  readonly drive: 'coupled'
  readonly feet: Readonly<Record<MachineRole, readonly TapedPair[]>>
  /** Where its movable axis is to lie cold, as the last job left it. */
  readonly target?: TargetPayload
}
