import { issue } from '../../issue'
import { z } from 'zod'
import { rimFaceDials } from '../../../core/methods/dials'
import { methodFields } from '../../calculation/couplingMethod'
import { dialSet, faceSet } from '../../calculation/fields'
import type { MethodContract } from '../contract'

/** One rim dial and one face dial, or two. */
export const rimAndFaces = {
  rim: dialSet,
  face: faceSet.optional(),
  faces: z.tuple([faceSet, faceSet], { error: issue('give-exactly-two-face-dials') }).optional(),
}

type FaceFields = { readonly face?: unknown; readonly faces?: unknown }

/** Refuses both or neither of `face` and `faces`. */
export const requireOneKindOfFace = (value: FaceFields, context: z.RefinementCtx) => {
  if ((value.face === undefined) === (value.faces === undefined))
    context.addIssue({
      code: 'custom',
      path: ['face'],
      message: issue('give-either-one-face-dial-face'),
    })
}

const input = z.object({ ...methodFields, ...rimAndFaces }).superRefine(requireOneKindOfFace)

type FaceSets = Pick<z.infer<typeof input>, 'rim' | 'face' | 'faces'>

/** The dials as core takes them; the schema has seen to it that there is a face. */
export const givenDials = (given: FaceSets) =>
  rimFaceDials({
    rim: given.rim,
    faces: given.faces ?? [given.face as NonNullable<FaceSets['face']>],
  })

const FACES: Readonly<Record<string, number>> = { face1: 0, face2: 1 }

/** Rim and face through the contract: offset, slope, what the feet need, and the trust report. */
export const rimFaceContract: MethodContract<z.infer<typeof input>> = {
  name: 'rim-face',
  summary:
    'Offset and slope at the coupling from a rim dial and a face dial, and the move at each foot pair.',
  input,
  dials: givenDials,
  place: ([circle, ...rest]) => {
    const face = FACES[String(circle)]
    return face === undefined ? [circle as string, ...rest] : ['faces', face, ...rest]
  },
}
