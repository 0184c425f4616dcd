import { done, refused, type Outcome } from '../outcome'
import type { Degrees, Millimetres } from '../units/unitSystem'
import type { BeltDrive } from './geometry'

export interface VariableSheaveInput {
  readonly grooveAngle: Degrees
  readonly threadPitch: Millimetres
  /** Positive opens the sheave: the belt rides lower. */
  readonly turns: number
  readonly pitchDiameter: Millimetres
  readonly rpm: number
  readonly otherDiameter: Millimetres
  /** One flange moves, or both. */
  readonly flanges: 'one' | 'both'
  readonly drive?: BeltDrive
  /** True when this is the small sheave of the drive. */
  readonly isSmall?: boolean
}

export interface VariableSheaveResult {
  readonly pitchDiameter: Millimetres
  readonly diameterChange: Millimetres
  /** Toward the moving flange; zero when both move. */
  readonly centreShift: Millimetres
  readonly drivenRpm: number
  /** About the cube of speed; a warning, not a promise. */
  readonly powerRatio: number
  /** Motor move that keeps the belt's tension; null without a drive. */
  readonly centreChange: Millimetres | null
}

/** What an opening of the groove does to the pitch diameter, in the unit of the opening: `-s / tan(A/2)`. */
export const diameterChange = (opening: number, grooveAngle: Degrees): number =>
  -opening / Math.tan((grooveAngle * Math.PI) / 360)

/**
 * What turning a variable-pitch sheave does: opening by s changes the pitch diameter by
 * `-s / tan(A/2)` and shifts the groove centre by s/2. The belt keeps its length, so the centre
 * distance follows: `dC = -wrap * dPD / (4 cos beta)`. Refuses a sheave opened past its hub.
 */
export const variableSheave = (input: VariableSheaveInput): Outcome<VariableSheaveResult> => {
  const opening = input.turns * input.threadPitch
  const change = diameterChange(opening, input.grooveAngle)
  const pitchDiameter = input.pitchDiameter + change
  if (!(pitchDiameter > 0)) return refused('sheave-out-of-range', ['turns'])
  const before = (input.rpm * input.pitchDiameter) / input.otherDiameter
  const drivenRpm = (input.rpm * pitchDiameter) / input.otherDiameter
  const { drive } = input
  const wrap = drive ? (input.isSmall === false ? drive.wrapLarge : drive.wrapSmall) : 0
  return done({
    pitchDiameter,
    diameterChange: change,
    centreShift: input.flanges === 'both' ? 0 : opening / 2,
    drivenRpm,
    powerRatio: (drivenRpm / before) ** 3,
    centreChange: drive ? (-wrap * change) / (4 * Math.cos(drive.strandAngle)) : null,
  })
}
