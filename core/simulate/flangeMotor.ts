import { flangePlane } from '../flange/flangePlane'
import type { FlangeBolt } from '../flange/flangeShims'
import type { Millimetres, Slope } from '../units/unitSystem'
import type { ShaftAxis } from './shaftAxis'
import { scale, unit, vector } from './vector'

/** A motor that stands on a flange over its driven machine, as a body in space. Up is x, 12 is v, 3 is h. */
export interface SimulatedFlangeMotor {
  /** Where its bolts really stand. */
  readonly bolts: readonly FlangeBolt[]
  /** Height of what the flange lies on at each bolt, over nominal: frame and shims. */
  readonly tops: readonly Millimetres[]
  /** Where the flange lies, up from the coupling centre. */
  readonly plane: Millimetres
  /** Where its spigot holds the middle of the flange. */
  readonly centre: { readonly v: Millimetres; readonly h: Millimetres }
  /** How far from square to its own flange the shaft stands. */
  readonly lean: { readonly v: Slope; readonly h: Slope }
}

/**
 * The shaft of a motor clamped on its tops: its flange lies in the plane nearest to them, the shaft stands on that plane as
 * square as it was made, through the middle that the spigot holds. Rotations taken exactly.
 */
export const axisOnFlange = ({ bolts, tops, plane, centre, lean }: SimulatedFlangeMotor): ShaftAxis => {
  const { slope, centre: height } = flangePlane(bolts, tops)
  const square = unit(vector(1, -slope.v, -slope.h))
  // The motor's own lean is turned with its flange: about the axis in the plane, by the angle of the tilt.
  const made = unit(vector(1, lean.v, lean.h))
  const turned = rotatedTo(made, square)
  return {
    point: vector(plane + height, centre.v, centre.h),
    direction: turned.x < 0 ? scale(turned, -1) : turned,
  }
}

/** A direction carried along when up is tilted to `square`, about the axis that lies in both planes. */
const rotatedTo = (
  d: { readonly x: number; readonly v: number; readonly h: number },
  square: { readonly x: number; readonly v: number; readonly h: number },
) => {
  const across = Math.hypot(square.v, square.h)
  if (across < 1e-15) return vector(d.x, d.v, d.h)
  const [ev, eh] = [square.v / across, square.h / across]
  const along = d.v * ev + d.h * eh
  const [c, s] = [square.x, across]
  const x = d.x * c - along * s
  const out = d.x * s + along * c
  return vector(x, d.v + (out - along) * ev, d.h + (out - along) * eh)
}

/** The motor with this much more under each bolt, and pushed this far. */
export const afterBoltWork = (
  motor: SimulatedFlangeMotor,
  added: readonly Millimetres[],
  push: { readonly v: Millimetres; readonly h: Millimetres } | null,
): SimulatedFlangeMotor => ({
  ...motor,
  tops: motor.tops.map((t, i) => t + (added[i] ?? 0)),
  centre: { v: motor.centre.v + (push?.v ?? 0), h: motor.centre.h + (push?.h ?? 0) },
})
