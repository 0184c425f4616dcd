import type { TrainPart } from '../../core/train/parts'
import type { MachineSnapshot } from './machine'

/** A part of a train as the machine in view: under the tag of the train, with its own names and feet. */
export const partMachine = <M extends object>(whole: M, part: TrainPart): MachineSnapshot =>
  ({ ...whole, ...part.machine }) as unknown as MachineSnapshot
