import type { BeltMachine } from './beltMachine'
import type { CoupledMachine } from './coupledMachine'

/** What the calculations need to know of a machine, by the kind of drive. One row a kind. */
export type Machine = CoupledMachine | BeltMachine
export type { BeltMachine, CoupledMachine }
