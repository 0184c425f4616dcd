import type { Bolts } from '../../core/stages/move/bolts'
import { CONVERSIONS, fromCore, type UnitSystem } from '../../core/units/unitSystem'
import { boltsWords } from './en'
import type { Telling } from './telling'

/** A torque as a wrench is set to it. `newtonMetres` as core has it. */
export const torqueWords = (newtonMetres: number, units: UnitSystem): string => {
  const own = fromCore(newtonMetres, 'torque', units)
  return `${own.toFixed(own < 10 ? 1 : 0)} ${CONVERSIONS[units].torque.unit}`
}

/** Bolts as they are called: `M16, class 8.8, dry`. */
export const boltWords = ({ payload }: Bolts, { words }: Pick<Telling, 'words'>): string => {
  const w = boltsWords(words)
  return w.bolt(payload.size, w.classes[payload.boltClass], w.threads[payload.lubrication])
}
