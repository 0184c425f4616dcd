import type { CouplingMeasurement } from '../coupling/dialCircle'
import type { DialSet, FaceSet } from '../coupling/dialSet'
import type { Outcome } from '../outcome'
import type { TrustLimits } from '../trust/trustReport'
import type { Degrees, Millimetres } from '../units/unitSystem'
import { measureArranged, type Arranged, type Circles } from './method'
import { arrangeBy, type MethodGiven } from './methods'

/** A method's set-up together with what its circles read. */
export type Taken = MethodGiven & { readonly read: Circles }

/** Readings as circles; core units. */
export const arrangeTaken = (taken: Taken): Outcome<Arranged> => arrangeBy(taken, taken.read)

/** Offset and slope with the trust report; core units. */
export const measureTaken = (taken: Taken, limits: TrustLimits): Outcome<CouplingMeasurement> => {
  const arranged = arrangeTaken(taken)
  return arranged.ok ? measureArranged(arranged.value, limits) : arranged
}

/** Rim and face from dial sets that carry their readings. */
export const rimFaceDials = (dials: {
  readonly rim: DialSet
  readonly faces: readonly [FaceSet] | readonly [FaceSet, FaceSet]
}): Taken => {
  const { rim, faces } = dials
  const [first, second] = faces
  return {
    method: 'rim-face',
    given: { rim, faces },
    read: second
      ? { rim: rim.readings, face1: first.readings, face2: second.readings }
      : { rim: rim.readings, face: first.readings },
  }
}

/** Reverse rim from dial sets that carry their readings. */
export const reverseRimDials = (dials: {
  readonly onStationary: DialSet
  readonly onMovable: DialSet
}): Taken => ({
  method: 'reverse-rim',
  given: { onStationary: dials.onStationary, onMovable: dials.onMovable },
  read: { onStationary: dials.onStationary.readings, onMovable: dials.onMovable.readings },
})

/** Faces at both ends of a spool from face sets that carry their readings. */
export const spacerFacesDials = (dials: {
  readonly atStationary: FaceSet
  readonly atMovable: FaceSet
  readonly spoolLength: Millimetres
}): Taken => {
  const { atStationary, atMovable, spoolLength } = dials
  return {
    method: 'spacer-faces',
    given: { atStationary, atMovable, spoolLength },
    read: { atStationary: atStationary.readings, atMovable: atMovable.readings },
  }
}

/** One look of both heads: where they stood and what they showed. */
export interface HeadSample {
  readonly clock: Degrees
  /** The movable head's own clock angle, when it has one. */
  readonly movableClock?: Degrees
  readonly stationary: Millimetres
  readonly movable: Millimetres
}

/** Heads from samples that hold both of them. */
export const headsSamples = (heads: {
  readonly stationaryPlane: Millimetres
  readonly movablePlane: Millimetres
  readonly samples: readonly HeadSample[]
}): Taken => ({
  method: 'heads',
  given: { stationaryPlane: heads.stationaryPlane, movablePlane: heads.movablePlane },
  read: {
    stationary: heads.samples.map((s) => ({ clock: s.clock, value: s.stationary })),
    movable: heads.samples.map((s) => ({ clock: s.movableClock ?? s.clock, value: s.movable })),
  },
})
