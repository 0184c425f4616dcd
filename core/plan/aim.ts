import { eachPlane, type Misalignment } from '../frame/planes'
import type { SettledTolerance } from '../judge/tolerance'

/** How far inside a bound of zero a plan aims: a mil of offset, a tenth of a mil per inch of slope. */
const CLEAR_OF_ZERO = { offset: 0.0254, slope: 0.0001 } as const

/**
 * The line that a plan aims at: the target, or the middle of a window where that is absolute. A
 * half-open window is aimed at where its share is used up to nothing, as far inside as its bound is
 * from zero.
 */
export const aimOf = (tolerance: SettledTolerance, target: Misalignment): Misalignment => {
  if (tolerance.form !== 'window') return target
  const aim = ([low, high]: readonly [number | null, number | null], part: 'offset' | 'slope'): number => {
    if (low !== null && high !== null) return (low + high) / 2
    if (low !== null) return low + (Math.abs(low) || CLEAR_OF_ZERO[part])
    if (high !== null) return high - (Math.abs(high) || CLEAR_OF_ZERO[part])
    return 0
  }
  return {
    offset: eachPlane((p) => aim(tolerance.offset[p], 'offset')),
    slope: eachPlane((p) => aim(tolerance.slope[p], 'slope')),
  }
}
