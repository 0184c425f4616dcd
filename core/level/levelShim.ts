import type { Millimetres, Slope } from '../units/unitSystem'

/**
 * Shim that levels a machine from a feeler under the level's low end: feeler x bolt spacing /
 * supported length, where the supported length runs from the feeler's edge to the level's other
 * end. Millimetres. Under both feet of the low end. Source: similar triangles.
 */
export const levelShimFromFeeler = (
  feeler: Millimetres,
  boltSpacing: Millimetres,
  supportedLength: Millimetres,
): Millimetres => (feeler * boltSpacing) / supportedLength

/** Shim from divisions off centre and the level's sensitivity (slope per division). */
export const levelShimFromDivisions = (
  divisions: number,
  sensitivity: Slope,
  boltSpacing: Millimetres,
): Millimetres => divisions * sensitivity * boltSpacing
