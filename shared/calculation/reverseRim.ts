import { z } from 'zod'
import { reverseRim, reverseRimArrangement } from '../../core/coupling/reverseRim'
import { answerMethod, methodFields, trustLimits, type DialMethod } from './couplingMethod'
import { defineOperation } from './defineOperation'
import { dialSet } from './fields'
import { methodOut } from './results'

const input = z.object({
  ...methodFields,
  onStationary: dialSet.describe('The dial whose tip runs on the stationary hub.'),
  onMovable: dialSet.describe('The dial whose tip runs on the movable hub.'),
})

export const reverseRimMethod: DialMethod<z.infer<typeof input>> = {
  name: 'reverse-rim',
  input,
  measure: (given) => reverseRim(given, trustLimits(given)),
  arrange: reverseRimArrangement,
}

/** Reverse rim through the contract. */
export const reverseRimOperation = defineOperation({
  name: 'reverse-rim',
  summary: 'Offset and slope at the coupling from a rim dial on each hub, and the move at each foot pair.',
  input,
  result: methodOut,
  compute: (given) => answerMethod(given, reverseRimMethod.measure(given)),
})
