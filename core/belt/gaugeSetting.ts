import { fromCore, toCore, type Millimetres, type UnitSystem } from '../units/unitSystem'

/** A gauge is set to half a millimetre, or a thirty-second of an inch: the nearest of them, in own units, and never none. */
export const gaugeSetting = (deflection: Millimetres, units: UnitSystem): number => {
  const step = units === 'metric' ? 0.5 : 1 / 32
  return Math.max(1, Math.round(fromCore(deflection, 'distance', units) / step)) * step
}

/** The same in millimetres. */
export const gaugeSet = (deflection: Millimetres, units: UnitSystem): Millimetres =>
  toCore(gaugeSetting(deflection, units), 'distance', units)
