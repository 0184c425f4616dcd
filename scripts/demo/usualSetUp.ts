import type { Turning } from '../../core/coupling/dialSet'
import type { MethodGiven, UsualPlaces } from '../../core/methods/methods'

/** The method a machine is usually measured by, with this bar sag. */
export const usualSetUp = (usual: UsualPlaces, sag: number, turning: Turning): MethodGiven => {
  const rim = { sag, turning, readingSign: 1 } as const
  if (usual.method === 'reverse-rim')
    return {
      method: 'reverse-rim',
      given: {
        onStationary: { ...rim, carriedBy: 'movable', plane: usual.onStationary },
        onMovable: { ...rim, carriedBy: 'stationary', plane: usual.onMovable },
      },
    }
  if (usual.method === 'heads') {
    const { stationaryPlane, movablePlane } = usual
    return { method: 'heads', given: { stationaryPlane: -stationaryPlane, movablePlane } }
  }
  if (usual.method !== 'rim-face') throw new Error(`The demo sets no machine up by ${usual.method}.`)
  const { carriedBy, rimPlane: plane, plunger, faceDiameter: diameter } = usual
  return {
    method: 'rim-face',
    given: { rim: { ...rim, carriedBy, plane }, faces: [{ plunger, diameter, sag: 0, readingSign: 1 }] },
  }
}
