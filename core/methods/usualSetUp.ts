import type { ReadingSign, Turning } from '../coupling/dialSet'
import type { MethodGiven, UsualPlaces } from './methods'

/** What is told of the instruments besides where they stand; sags in contract units. */
export interface UsualTold {
  /** How far a bar hangs. */
  readonly sag: number
  readonly turning: Turning
  readonly readingSign?: ReadingSign
}

/**
 * The method a machine is usually measured by, its dials or heads where the register has them; contract units. Null for
 * methods that carry no instrument round the clock.
 */
export const usualSetUp = (
  usual: UsualPlaces,
  { sag, turning, readingSign = 1 }: UsualTold,
): MethodGiven | null => {
  const rim = { sag, turning, readingSign } as const
  switch (usual.method) {
    case 'rim-face': {
      const { carriedBy, rimPlane: plane, plunger, faceDiameter: diameter } = usual
      return {
        method: 'rim-face',
        given: { rim: { ...rim, carriedBy, plane }, faces: [{ plunger, diameter, sag: 0, readingSign }] },
      }
    }
    case 'reverse-rim':
      return {
        method: 'reverse-rim',
        given: {
          onStationary: { ...rim, carriedBy: 'movable', plane: usual.onStationary },
          onMovable: { ...rim, carriedBy: 'stationary', plane: usual.onMovable },
        },
      }
    case 'heads': {
      const { stationaryPlane, movablePlane } = usual
      return { method: 'heads', given: { stationaryPlane: -stationaryPlane, movablePlane } }
    }
    default:
      return null
  }
}
