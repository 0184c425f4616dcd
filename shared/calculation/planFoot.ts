import { z } from 'zod'
import { figure, idText, notNegative } from './fields'
import { pack } from './stock'

/** A foot pair that a plan may move, with what limits it. In a train x runs along the whole train. */
export const planFoot = z.object({
  id: idText,
  x: figure('distance-to-the-feet', 'distance'),
  existing: pack.describe('Under each foot of the pair, bottom up.'),
  maxPack: notNegative('highest-pack', 'displacement'),
  sidePlus: notNegative('room-toward-3', 'displacement'),
  sideMinus: notNegative('room-toward-9', 'displacement'),
  locked: z.boolean().optional(),
})
