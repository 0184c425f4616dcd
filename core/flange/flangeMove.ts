import type { Misalignment } from '../frame/planes'
import type { Millimetres } from '../units/unitSystem'
import type { FlangePlane } from './flangePlane'

/** How far a flange is pushed sideways. Millimetres: up (toward 12) and toward 3. */
export interface FlangePush {
  readonly v: Millimetres
  readonly h: Millimetres
}

/**
 * What shims under a flange and a push do to its shaft: the shims tilt it about the middle of the flange, where the spigot
 * holds it, and the push carries all of it along. `plane` is where the flange lies, from the coupling centre.
 */
export const flangeChange = (
  shims: Pick<FlangePlane, 'slope'> | null,
  push: FlangePush | null,
  plane: Millimetres,
): Misalignment => {
  const { v, h } = shims?.slope ?? { v: 0, h: 0 }
  return {
    offset: { v: v * plane + (push?.v ?? 0), h: h * plane + (push?.h ?? 0) },
    slope: { v: v === 0 ? 0 : -v, h: h === 0 ? 0 : -h },
  }
}
