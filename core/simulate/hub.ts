import { clockVector } from '../frame/clock'
import type { Degrees, Millimetres } from '../units/unitSystem'

/** A coupling half: how large it is and how far its rim and face are from true. */
export interface Hub {
  readonly radius: Millimetres
  /** Eccentricity of the rim and the mark where it is high. */
  readonly eccentric: { readonly amount: Millimetres; readonly at: Degrees }
  /** Oval rim: second harmonic. */
  readonly oval: { readonly amount: Millimetres; readonly at: Degrees }
  /** Face wobble in mm/mm and the mark where it stands out. */
  readonly wobble: { readonly slope: number; readonly at: Degrees }
}

/** A hub turned true. */
export const trueHub = (radius: Millimetres): Hub => ({
  radius,
  eccentric: { amount: 0, at: 0 },
  oval: { amount: 0, at: 0 },
  wobble: { slope: 0, at: 0 },
})

/** Radius under a dial that stands at mark `mark` of the hub. */
export const radiusAt = (hub: Hub, mark: Degrees): Millimetres =>
  hub.radius +
  hub.eccentric.amount * clockVector(mark - hub.eccentric.at)[0] +
  hub.oval.amount * clockVector(2 * (mark - hub.oval.at))[0]

/** How far the face stands out at mark `mark` on a circle of `radius`. */
export const faceAt = (hub: Hub, mark: Degrees, radius: Millimetres): Millimetres =>
  hub.wobble.slope * radius * clockVector(mark - hub.wobble.at)[0]
