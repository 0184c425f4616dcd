import type { LogEntry } from '../../logbook/entry'
import { toCore, type UnitSystem } from '../../units/unitSystem'
import type { VibrationPlace, VibrationWay } from './entries'

/** What was noted before and after the work; the last note of each counts. */
export type Vibration = Readonly<Record<'before' | 'after', LogEntry<'vibration-noted'> | null>>
export const NO_VIBRATION: Vibration = { before: null, after: null }

export const keepVibration = (now: Vibration, e: LogEntry): Vibration =>
  e.kind === 'vibration-noted' ? { ...now, [e.payload.moment]: e } : now

/** Velocity in mm/s, as core counts it: an inch is an inch, by the second too. */
export const velocity = (value: number, units: UnitSystem): number => toCore(value, 'distance', units)

/** The point that shakes most, mm/s. */
export interface ShakesMost {
  readonly at: VibrationPlace
  readonly way: VibrationWay
  readonly value: number
}

export const shakesMost = ({ payload }: LogEntry<'vibration-noted'>): ShakesMost | null =>
  payload.points.reduce<ShakesMost | null>((most, p) => {
    const value = velocity(p.value, payload.units)
    return most === null || value > most.value ? { at: p.at, way: p.way, value } : most
  }, null)

/** How much of the largest figure is left where both were noted: after over before. A hint, never a verdict. */
export const shakesLess = ({ before, after }: Vibration): number | null => {
  const [from, to] = [before && shakesMost(before), after && shakesMost(after)]
  return from && to && from.value > 0 ? to.value / from.value : null
}
