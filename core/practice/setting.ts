import type { CoupledMachine } from '../register/coupledMachine'
import type { BeltMachine } from '../register/beltMachine'
import type { BenchLie } from './bench'
import type { DriveBelts } from './drive/driveBench'
import type { BenchFault } from './faults'
import type { Hands } from './hands'

interface Common {
  readonly seed: number
  readonly hands: Hands
  readonly faults: readonly BenchFault[]
}

/** What any bench is set up from. */
export type TrySetting =
  | (Common & { readonly machine: CoupledMachine; readonly lie?: BenchLie })
  | (Common & { readonly machine: BeltMachine; readonly belts?: DriveBelts })

/** Machines that can stand on a bench, by their drive. */
export type MachineOf<K extends TrySetting['machine']['drive']> = Extract<
  TrySetting['machine'],
  { readonly drive: K }
>
