import { axisAt, type ShaftAxis } from './shaftAxis'
import { add, scale, subtract, unit, type Vector } from './vector'

/** A made-up coupling that resists misalignment, and how the two shaft ends give. */
export interface CouplingGrip {
  /** N/mm sideways and N mm/rad in bending. */
  readonly lateral: number
  readonly bending: number
  /** Bending stiffness of a shaft end, the same measures, each shaft. */
  readonly shaftLateral: number
  readonly shaftBending: number
}

/** A coupling that lets the shafts be. */
export const OPEN_COUPLING: CouplingGrip = { lateral: 0, bending: 0, shaftLateral: 1, shaftBending: 1 }

/**
 * The shaft ends as the coupling bends them: offset and angle between them shrink as springs in
 * series share them, half on each shaft. What every instrument on the hubs then reads.
 */
export const bentShafts = (
  stationary: ShaftAxis,
  movable: ShaftAxis,
  grip: CouplingGrip,
): { readonly stationary: ShaftAxis; readonly movable: ShaftAxis } => {
  const share = (coupling: number, shaft: number) => coupling / (coupling + shaft / 2)
  const pull = share(grip.lateral, grip.shaftLateral) / 2
  const turn = share(grip.bending, grip.shaftBending) / 2
  const between = subtract(axisAt(movable, 0), axisAt(stationary, 0))
  const slopeOf = (axis: ShaftAxis): Vector => scale(axis.direction, 1 / axis.direction.x)
  const tilt = subtract(slopeOf(movable), slopeOf(stationary))
  const bent = (axis: ShaftAxis, sign: 1 | -1): ShaftAxis => ({
    point: add(axisAt(axis, 0), scale(between, sign * pull)),
    direction: unit(add(slopeOf(axis), scale(tilt, sign * turn))),
  })
  return { stationary: bent(stationary, 1), movable: bent(movable, -1) }
}
