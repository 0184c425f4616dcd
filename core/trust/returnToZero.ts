import type { Millimetres, UnitSystem } from '../units/unitSystem'

/** Graduation assumed for a dial that none was given for: half a mil, or 0.01 mm. */
const USUAL_GRADUATION: Readonly<Record<UnitSystem, Millimetres>> = { inch: 0.0127, metric: 0.01 }

/** One graduation: how far a dial may be off zero after a full turn (docs/methods/rim-face.md). */
export const returnLimit = (units: UnitSystem, graduation: Millimetres | null): Millimetres =>
  graduation ?? USUAL_GRADUATION[units]

/** True when the dial came back so far from zero that something slipped. */
export const beyondReturnLimit = (
  shown: Millimetres,
  units: UnitSystem,
  graduation: Millimetres | null,
): boolean => Math.abs(shown) > returnLimit(units, graduation) * (1 + 1e-9)
