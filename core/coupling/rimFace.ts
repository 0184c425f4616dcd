import { done, type Outcome } from '../outcome'
import type { TrustLimits } from '../trust/trustReport'
import type { Millimetres } from '../units/unitSystem'
import { measureArrangement, type CouplingMeasurement, type DialArrangement } from './dialCircle'
import { faceCircle, opposedFaceCircle, rimCircle, setUpFlags } from './dialCircles'
import type { DialSet, FaceSet } from './dialSet'

export interface RimFaceInput {
  readonly rim: DialSet
  /** One face dial, or two that stand 180 degrees apart and cancel axial float. */
  readonly faces: readonly [FaceSet] | readonly [FaceSet, FaceSet]
}

/** Rim and face as circles: a position at the rim plane and a slope, with the float two faces show. */
export const rimFaceArrangement = (
  input: RimFaceInput,
): Outcome<{ readonly arrangement: DialArrangement; readonly axialFloat: Millimetres | null }> => {
  const rim = rimCircle('rim', input.rim, ['rim'])
  if (!rim.ok) return rim
  const join = { kind: 'position-and-slope' } as const
  const [first, second] = input.faces
  if (second) {
    const both = opposedFaceCircle('face', [first, second], ['faces'])
    if (!both.ok) return both
    const { circle, axialFloat } = both.value
    return done({ arrangement: { circles: [rim.value, circle], join }, axialFloat })
  }
  const face = faceCircle('face', first, ['face'])
  if (!face.ok) return face
  return done({ arrangement: { circles: [rim.value, face.value], join }, axialFloat: null })
}

/**
 * Rim and face: offset and slope of the movable axis from one rim dial and one face dial (or two
 * opposite ones). Millimetres, degrees, mm/mm. Refuses positions that can't carry a result, with
 * the path below `rim`, `face` or `faces`. Source: chapter 2, What each instrument reads.
 */
export const rimFace = (input: RimFaceInput, limits: TrustLimits): Outcome<CouplingMeasurement> => {
  const arranged = rimFaceArrangement(input)
  if (!arranged.ok) return arranged
  const measured = measureArrangement(arranged.value.arrangement, limits)
  if (!measured.ok) return measured
  const { trust } = measured.value
  const { axialFloat } = arranged.value
  const crept = axialFloat !== null && axialFloat > (trust.sets[1]?.closureLimit ?? 0)
  const turned = setUpFlags([input.rim])
  return done({
    ...measured.value,
    trust: { ...trust, flags: [...trust.flags, ...turned, ...(crept ? (['axial-float'] as const) : [])] },
    axialFloat,
  })
}
