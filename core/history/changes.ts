import { toCore, type Millimetres, type UnitSystem } from '../units/unitSystem'

/** A change below this is rounding: leaves of one thickness out and in again. */
export const NOTHING: Millimetres = 1e-6

/** What leaves of a record's own units add up to. */
export const sumOfLeaves = (leaves: readonly number[], units: UnitSystem): Millimetres =>
  leaves.reduce((mm, t) => mm + toCore(t, 'displacement', units), 0)

/** Who did it, each once, in order. */
export const onceEach = (by: readonly string[], who: string): readonly string[] =>
  by.includes(who) ? by : [...by, who]
