import { z } from 'zod'
import { rimFace, rimFaceArrangement, type RimFaceInput } from '../../core/coupling/rimFace'
import { done } from '../../core/outcome'
import { answerMethod, methodFields, trustLimits, type DialMethod } from './couplingMethod'
import { defineOperation } from './defineOperation'
import { dialSet, faceSet } from './fields'
import { methodOut } from './results'

/** One rim dial and one face dial, or two. */
export const rimAndFaces = {
  rim: dialSet,
  face: faceSet.optional(),
  faces: z.tuple([faceSet, faceSet], { error: 'Give exactly two face dials.' }).optional(),
}

type FaceFields = { readonly face?: unknown; readonly faces?: unknown }

/** Refuses both or neither of `face` and `faces`. */
export const requireOneKindOfFace = (value: FaceFields, context: z.RefinementCtx) => {
  if ((value.face === undefined) === (value.faces === undefined))
    context.addIssue({
      code: 'custom',
      path: ['face'],
      message: 'Give either one face dial (face) or two (faces).',
    })
}

const input = z.object({ ...methodFields, ...rimAndFaces }).superRefine(requireOneKindOfFace)

type FaceSets = Pick<z.infer<typeof input>, 'rim' | 'face' | 'faces'>

/** The dials as core takes them; the schema has seen to it that there is a face. */
export const rimFaceDials = (given: FaceSets): RimFaceInput => ({
  rim: given.rim,
  faces: given.faces ?? [given.face as NonNullable<FaceSets['face']>],
})

export const rimFaceMethod: DialMethod<z.infer<typeof input>> = {
  name: 'rim-face',
  input,
  measure: (given) => rimFace(rimFaceDials(given), trustLimits(given)),
  arrange: (given) => {
    const arranged = rimFaceArrangement(rimFaceDials(given))
    return arranged.ok ? done(arranged.value.arrangement) : arranged
  },
}

/** Rim and face through the contract: offset, slope, what the feet need, and the trust report. */
export const rimFaceOperation = defineOperation({
  name: 'rim-face',
  summary:
    'Offset and slope at the coupling from a rim dial and a face dial, and the move at each foot pair.',
  input,
  result: methodOut,
  compute: (given) => answerMethod(given, rimFaceMethod.measure(given)),
})
