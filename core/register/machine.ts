import type { BeltMachine } from './beltMachine'
import type { CoupledMachine } from './coupledMachine'
import type { FlangeMachine } from './flangeMachine'

/** What the calculations need to know of a machine, by the kind of drive. One row a kind. */
export type Machine = CoupledMachine | FlangeMachine | BeltMachine
export type { BeltMachine, CoupledMachine, FlangeMachine }
