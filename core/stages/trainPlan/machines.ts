import type { LogEntry } from '../../logbook/entry'
import { staysPut, type TrainMachine } from '../../register/trainMachine'

/** What was said in this job of machines that may or may not be moved, newest by machine. */
export type Freed = ReadonlyMap<string, LogEntry<'machine-freed'>>
export const NOBODY_FREED: Freed = new Map()

export const keepFreed = (now: Freed, e: LogEntry): Freed =>
  e.kind === 'machine-freed' ? new Map([...now, [e.payload.machine, e]]) : now

/** Whether a machine stays where it stands, and who says so. */
export interface Held {
  readonly held: boolean
  readonly by: 'register' | 'job' | null
  /** Why, where it was said in this job; empty otherwise. */
  readonly why: string
}

/** Whether this machine may be moved: what the job says, else whether the register locks all of its feet. */
export const heldOf = (train: TrainMachine, freed: Freed, id: string): Held => {
  const said = freed.get(id)
  if (said) return { held: !said.payload.may, by: 'job', why: said.payload.why }
  const unit = train.machines.find((m) => m.id === id)
  return unit && staysPut(unit) ? { held: true, by: 'register', why: '' } : { held: false, by: null, why: '' }
}
