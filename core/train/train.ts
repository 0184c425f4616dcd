import type { Misalignment } from '../frame/planes'
import type { SettledTolerance } from '../judge/tolerance'
import type { PlanFoot } from '../plan/planFoot'
import type { Millimetres } from '../units/unitSystem'

/** A machine of a train. Foot x run along the whole train; sides as seen looking toward -X. */
export interface TrainMachine {
  readonly id: string
  readonly feet: readonly PlanFoot[]
}

/** A coupling between two neighbours, measured in its own frame. */
export interface TrainCoupling {
  readonly id: string
  /** Coupling centre along the train. */
  readonly x: Millimetres
  /** Machine at lower X and at higher X. */
  readonly left: string
  readonly right: string
  /** Which of the two its readings call stationary; the observer looks at that one. */
  readonly stationary: 'left' | 'right'
  readonly coupling: Misalignment
  readonly target: Misalignment
  readonly tolerance: SettledTolerance
}

export interface Train {
  readonly machines: readonly TrainMachine[]
  readonly couplings: readonly TrainCoupling[]
}

/**
 * A coupling's line as the right machine against the left one, seen looking toward -X, about the
 * coupling centre; and back again, since the turn undoes itself. Where the observer faces the other
 * way x is reversed, movable and stationary change places, and H is mirrored.
 */
export const turnToTrain = (line: Misalignment, stationary: 'left' | 'right'): Misalignment => {
  if (stationary === 'left') return line
  const opposite = (x: number | null) => (x === null || x === 0 ? x : -x)
  return {
    offset: { v: opposite(line.offset.v), h: line.offset.h },
    slope: { v: line.slope.v, h: opposite(line.slope.h) },
  }
}
