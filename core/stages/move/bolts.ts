import { BOLT_SIZES } from '../../bolts/sizes'
import { NUT_FACTOR, proofStress, tightening, type TighteningResult } from '../../bolts/tightening'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import type { CoupledMachine } from '../../register/coupledMachine'
import { toCore } from '../../units/unitSystem'
import type { BoltsPayload } from './entries'

/** The hold-down bolts of the movable machine, and how they are tightened. */
export interface Bolts {
  readonly from: 'job' | 'register'
  readonly payload: BoltsPayload
  readonly tightening: TighteningResult
}

export type BoltsEntry = LogEntry<'bolts-named'>
export const keepBolts = (now: BoltsEntry | null, e: LogEntry): BoltsEntry | null =>
  e.kind === 'bolts-named' ? e : now

/** How these bolts are tightened: two a foot pair, in three criss-cross passes. */
export const tightenBolts = (payload: BoltsPayload, pairs: number): TighteningResult => {
  const { size, boltClass, lubrication, makerTorque, units } = payload
  const { thread, diameter, pitch } = BOLT_SIZES[size]
  return tightening({
    thread,
    diameter,
    pitch,
    proofStress: proofStress(boltClass, diameter),
    nutFactor: NUT_FACTOR[lubrication],
    bolts: 2 * pairs,
    ...(makerTorque === null ? {} : { makerTorque: toCore(makerTorque, 'torque', units) }),
  })
}

const named = remember((entry: BoltsEntry, machine: CoupledMachine): Bolts => ({
  from: 'job',
  payload: entry.payload,
  tightening: tightenBolts(entry.payload, machine.feet.movable.length),
}))
const registered = remember((machine: CoupledMachine): { readonly bolts: Bolts | null } => ({
  bolts: machine.bolts
    ? {
        from: 'register',
        payload: machine.bolts,
        tightening: tightenBolts(machine.bolts, machine.feet.movable.length),
      }
    : null,
}))

/** The bolts as the job says, else as the register does; null where nobody has said. */
export const boltsOf = (machine: CoupledMachine, entry: BoltsEntry | null): Bolts | null =>
  entry ? named(entry, machine) : registered(machine).bolts
