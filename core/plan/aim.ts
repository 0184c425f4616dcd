import { eachPlane, type Misalignment } from '../frame/planes'
import type { SettledTolerance } from '../judge/tolerance'

/** The line that a plan aims at: the target, or the middle of a window where that is absolute. */
export const aimOf = (tolerance: SettledTolerance, target: Misalignment): Misalignment => {
  if (tolerance.form !== 'window') return target
  const middle = ([low, high]: readonly [number | null, number | null]): number =>
    low !== null && high !== null ? (low + high) / 2 : (low ?? high ?? 0)
  return {
    offset: eachPlane((p) => middle(tolerance.offset[p])),
    slope: eachPlane((p) => middle(tolerance.slope[p])),
  }
}
