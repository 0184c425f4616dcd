import type { BeltMachine } from './beltMachine'
import type { CoupledMachine } from './coupledMachine'
import type { DrumMachine } from './drumMachine'
import type { GearMachine } from './gearMachine'
import type { FlangeMachine } from './flangeMachine'
import type { TrainMachine } from './trainMachine'

/** What the calculations need to know of a machine, by the kind of drive. One row a kind. */
export type Machine = CoupledMachine | TrainMachine | FlangeMachine | DrumMachine | GearMachine | BeltMachine
export type { BeltMachine, CoupledMachine, DrumMachine, FlangeMachine, GearMachine, TrainMachine }
