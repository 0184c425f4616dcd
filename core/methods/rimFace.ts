import { faceCircle, opposedFaceCircle, rimCircle, setUpFlags } from '../coupling/dialCircles'
import { done } from '../outcome'
import { faceToCore, readAt, rimToCore, type FaceMount, type Method, type RimMount } from './method'

/** One bracket: a rim dial, and one face dial or two that stand half a turn apart and cancel float. */
export interface RimFaceSetUp {
  readonly rim: RimMount
  readonly faces: readonly [FaceMount] | readonly [FaceMount, FaceMount]
}

/** Where rim and face dials usually run on a machine, in the record's own units. */
export interface RimFaceUsual {
  readonly carriedBy: RimMount['carriedBy']
  readonly rimPlane: number
  readonly plunger: FaceMount['plunger']
  readonly faceDiameter: number
}

/**
 * Rim and face: a position at the rim dial's plane, and a slope from the face. Circles `rim` and
 * `face`; with two face dials `rim`, `face1`, `face2`. Source: docs/methods/rim-face.md.
 */
export const rimFaceMethod: Method<RimFaceSetUp> = {
  circles: ({ faces }) => (faces.length === 2 ? ['rim', 'face1', 'face2'] : ['rim', 'face']),
  toCore: ({ rim, faces: [first, second] }, units) => ({
    rim: rimToCore(rim, units),
    faces: second ? [faceToCore(first, units), faceToCore(second, units)] : [faceToCore(first, units)],
  }),
  arrange: ({ rim: mount, faces: [first, second] }, read) => {
    const rim = rimCircle('rim', { ...mount, readings: readAt(read, 'rim') }, ['rim'])
    if (!rim.ok) return rim
    const join = { kind: 'position-and-slope' } as const
    if (!second) {
      const face = faceCircle('face', { ...first, readings: readAt(read, 'face') }, ['face'], mount.turning)
      if (!face.ok) return face
      const circles = [rim.value, face.value] as const
      return done({ arrangement: { circles, join }, flags: setUpFlags([mount], circles), axialFloat: null })
    }
    const both = opposedFaceCircle(
      'face',
      [
        { ...first, readings: readAt(read, 'face1') },
        { ...second, readings: readAt(read, 'face2') },
      ],
      [['face1'], ['face2']],
      mount.turning,
    )
    if (!both.ok) return both
    const { circle, axialFloat } = both.value
    const circles = [rim.value, circle] as const
    return done({ arrangement: { circles, join }, flags: setUpFlags([mount], circles), axialFloat })
  },
}
