import { z } from 'zod'
import { spacerFaces, spacerFacesArrangement } from '../../core/coupling/spacerFaces'
import { answerMethod, methodFields, trustLimits, type DialMethod } from './couplingMethod'
import { defineOperation } from './defineOperation'
import { faceSet, positive } from './fields'
import { methodOut } from './results'

const input = z.object({
  ...methodFields,
  atStationary: faceSet.describe('Slope of the spool against the stationary shaft.'),
  atMovable: faceSet.describe('Slope of the movable shaft against the spool.'),
  spoolLength: positive('the spool length', 'distance'),
})

export const spacerFacesMethod: DialMethod<z.infer<typeof input>> = {
  name: 'spacer-faces',
  input,
  measure: (given) => spacerFaces(given, trustLimits(given)),
  arrange: spacerFacesArrangement,
}

/** Face and face across a spacer through the contract. */
export const spacerFacesOperation = defineOperation({
  name: 'spacer-faces',
  summary: 'Offset and slope at the middle of a spool from a face dial at each of its ends.',
  input,
  result: methodOut,
  compute: (given) => answerMethod(given, spacerFacesMethod.measure(given)),
})
