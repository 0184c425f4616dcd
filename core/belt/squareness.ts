import type { Millimetres } from '../units/unitSystem'

export interface SquarenessResult {
  /** Radians; positive when the far end stands further from the common edge. */
  readonly turn: number
  readonly difference: Millimetres
  /** How far to move the far end to stand square, positive away from the edge. */
  readonly farEndMove: Millimetres
  /** Turns of the far-end screw; null without its pitch. */
  readonly screwTurns: number | null
}

/** Whether the motor stands square: distances at both ends from a common edge. Millimetres. */
export const squareness = (
  sheaveEnd: Millimetres,
  farEnd: Millimetres,
  spacing: Millimetres,
  screwPitch: Millimetres | null,
): SquarenessResult => {
  const difference = farEnd - sheaveEnd
  const move = difference === 0 ? 0 : -difference
  return {
    turn: Math.atan(difference / spacing),
    difference,
    farEndMove: move,
    screwTurns: screwPitch === null ? null : move / screwPitch,
  }
}
