import { BOLT_SIZES } from '../../bolts/sizes'
import { NUT_FACTOR, proofStress, tightening, type TighteningResult } from '../../bolts/tightening'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import type { MeasuredMachine } from '../../register/measuredMachine'
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

/** How so many bolts are tightened, in three criss-cross passes. */
export const tightenBolts = (payload: BoltsPayload, bolts: number): TighteningResult => {
  const { size, boltClass, lubrication, makerTorque, units } = payload
  const { thread, diameter, pitch } = BOLT_SIZES[size]
  return tightening({
    thread,
    diameter,
    pitch,
    proofStress: proofStress(boltClass, diameter),
    nutFactor: NUT_FACTOR[lubrication],
    bolts,
    ...(makerTorque === null ? {} : { makerTorque: toCore(makerTorque, 'torque', units) }),
  })
}

const named = remember((entry: BoltsEntry, { count }: BoltCircle): Bolts => ({
  from: 'job',
  payload: entry.payload,
  tightening: tightenBolts(entry.payload, count),
}))
const registered = remember(
  (machine: MeasuredMachine, { count }: BoltCircle): { readonly bolts: Bolts | null } => ({
    bolts: machine.bolts
      ? { from: 'register', payload: machine.bolts, tightening: tightenBolts(machine.bolts, count) }
      : null,
  }),
)

/** How many bolts hold a machine; the very same object for the same count. */
export interface BoltCircle {
  readonly count: number
}
const CIRCLES = new Map<number, BoltCircle>()
export const boltCount = (count: number): BoltCircle => {
  const known = CIRCLES.get(count) ?? { count }
  CIRCLES.set(count, known)
  return known
}

/** The bolts as the job says, else as the register does; null where nobody has said. */
export const boltsOf = (machine: MeasuredMachine, count: number, entry: BoltsEntry | null): Bolts | null =>
  entry ? named(entry, boltCount(count)) : registered(machine, boltCount(count)).bolts
