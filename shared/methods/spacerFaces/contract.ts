import { z } from 'zod'
import { spacerFacesDials } from '../../../core/methods/dials'
import { methodFields } from '../../calculation/couplingMethod'
import { faceSet, positive } from '../../calculation/fields'
import type { MethodContract } from '../contract'

const input = z.object({
  ...methodFields,
  atStationary: faceSet.describe('Slope of the spool against the stationary shaft.'),
  atMovable: faceSet.describe('Slope of the movable shaft against the spool.'),
  spoolLength: positive('spool-length', 'distance'),
})

/** Face and face across a spacer through the contract. */
export const spacerFacesContract: MethodContract<z.infer<typeof input>> = {
  name: 'spacer-faces',
  summary: 'Offset and slope at the middle of a spool from a face dial at each of its ends.',
  input,
  dials: spacerFacesDials,
}
