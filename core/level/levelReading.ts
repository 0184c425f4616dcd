import { toCore, type Slope, type UnitSystem } from '../units/unitSystem'
import { levelShimFromDivisions, levelShimFromFeeler } from './levelShim'

/** Slope under a level, by the feeler that brought its bubble to the middle; figures in the entry's own units. */
export const slopeByFeeler = (feeler: number, supported: number, units: UnitSystem): Slope =>
  levelShimFromFeeler(toCore(feeler, 'displacement', units), 1, toCore(supported, 'distance', units))

/** Slope under a level by its divisions, and how many divisions the level itself is off. */
export interface DividedSlope {
  readonly slope: Slope
  /** Null where it wasn't turned end for end. */
  readonly levelError: number | null
}

/**
 * Slope by divisions off the middle. Turned end for end the slope shows the other way round and the level's own
 * error the same: half of the difference counts, half of the sum is the level's.
 */
export const slopeByDivisions = (
  divisions: number,
  reversed: number | null,
  sensitivity: number,
  units: UnitSystem,
): DividedSlope => ({
  slope: levelShimFromDivisions(
    reversed === null ? divisions : (divisions - reversed) / 2,
    toCore(sensitivity, 'slope', units),
    1,
  ),
  levelError: reversed === null ? null : (divisions + reversed) / 2,
})
