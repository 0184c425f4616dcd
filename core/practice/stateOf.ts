import { coupledJob, type CoupledState } from '../jobs/coupled'
import type { LogEntry } from '../logbook/entry'
import type { CoupledMachine } from '../register/coupledMachine'

/** The state a logbook folds to, for what a try is judged by. */
export const stateOf = (machine: CoupledMachine, entries: readonly LogEntry[]): CoupledState =>
  coupledJob(machine, entries).state
