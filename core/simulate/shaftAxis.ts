import { clockVector } from '../frame/clock'
import type { Misalignment } from '../frame/planes'
import type { Degrees, Millimetres } from '../units/unitSystem'
import { add, dot, scale, subtract, unit, vector, type Vector } from './vector'

/** A shaft's true axis in space. The direction has length 1 and points to higher x. */
export interface ShaftAxis {
  readonly point: Vector
  readonly direction: Vector
}

export const REFERENCE_AXIS: ShaftAxis = { point: vector(0, 0, 0), direction: vector(1, 0, 0) }

/** The axis whose straight line is `d(x) = offset + slope * x` in both planes; unknowns count as 0. */
export const axisOfLine = (line: Misalignment): ShaftAxis => ({
  point: vector(0, line.offset.v ?? 0, line.offset.h ?? 0),
  direction: unit(vector(1, line.slope.v ?? 0, line.slope.h ?? 0)),
})

/** Where an axis crosses the plane at x. */
export const axisAt = (axis: ShaftAxis, x: Millimetres): Vector =>
  add(axis.point, scale(axis.direction, (x - axis.point.x) / axis.direction.x))

/** The line of one axis against another: the truth that methods are to find. */
export const lineBetween = (
  movable: ShaftAxis,
  stationary: ShaftAxis,
): {
  readonly offset: { readonly v: number; readonly h: number }
  readonly slope: { readonly v: number; readonly h: number }
} => {
  const at = (x: Millimetres) => subtract(axisAt(movable, x), axisAt(stationary, x))
  const here = at(0)
  const there = at(1)
  return {
    offset: { v: here.v, h: here.h },
    slope: { v: there.v - here.v, h: there.h - here.h },
  }
}

/** The direction square to an axis that a bracket on it points at a clock angle. */
export const radialAt = (axis: ShaftAxis, clock: Degrees): Vector => {
  const [c, s] = clockVector(clock)
  const straight = vector(0, c, s)
  return unit(subtract(straight, scale(axis.direction, dot(straight, axis.direction))))
}
