import { done, type Outcome } from '../outcome'
import type { TrustLimits } from '../trust/trustReport'
import type { Millimetres } from '../units/unitSystem'
import { measureArrangement, type CouplingMeasurement, type DialArrangement } from './dialCircle'
import { faceCircle } from './dialCircles'
import type { FaceSet } from './dialSet'

export interface SpacerFacesInput {
  /** Face dial across the gap at the stationary end: slope of the spool against the stationary shaft. */
  readonly atStationary: FaceSet
  /** Face dial across the gap at the movable end: slope of the movable shaft against the spool. */
  readonly atMovable: FaceSet
  /** Between the flex planes. */
  readonly spoolLength: Millimetres
}

/** Face and face across a spool as circles: two slopes in a chain. */
export const spacerFacesArrangement = (input: SpacerFacesInput): Outcome<DialArrangement> => {
  const first = faceCircle('atStationary', input.atStationary, ['atStationary'])
  if (!first.ok) return first
  const second = faceCircle('atMovable', input.atMovable, ['atMovable'])
  if (!second.ok) return second
  return done({
    circles: [first.value, second.value],
    join: { kind: 'two-slopes', spoolLength: input.spoolLength },
  })
}

/**
 * Face and face across a spacer: `d(movable flex plane) = p1 * Ls`, `slope = p1 + p2`, that plane
 * at x = Ls/2. Millimetres, degrees, mm/mm. Source: chapter 2, What each instrument reads.
 */
export const spacerFaces = (input: SpacerFacesInput, limits: TrustLimits): Outcome<CouplingMeasurement> => {
  const arranged = spacerFacesArrangement(input)
  return arranged.ok ? measureArrangement(arranged.value, limits) : arranged
}
