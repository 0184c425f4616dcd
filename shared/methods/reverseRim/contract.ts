import { z } from 'zod'
import { reverseRimDials } from '../../../core/methods/dials'
import { methodFields } from '../../calculation/couplingMethod'
import { dialSet } from '../../calculation/fields'
import type { MethodContract } from '../contract'

const input = z.object({
  ...methodFields,
  onStationary: dialSet.describe('The dial whose tip runs on the stationary hub.'),
  onMovable: dialSet.describe('The dial whose tip runs on the movable hub.'),
})

/** Reverse rim through the contract. */
export const reverseRimContract: MethodContract<z.infer<typeof input>> = {
  name: 'reverse-rim',
  summary: 'Offset and slope at the coupling from a rim dial on each hub, and the move at each foot pair.',
  input,
  dials: reverseRimDials,
}
