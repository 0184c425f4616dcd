import { z } from 'zod'
import { figure, idText, notNegative } from './fields'
import { pack } from './stock'

/** A foot pair that a plan may move, with what limits it. In a train x runs along the whole train. */
export const planFoot = z.object({
  id: idText,
  x: figure('the distance to the feet', 'distance'),
  existing: pack.describe('Under each foot of the pair, bottom up.'),
  maxPack: notNegative('the highest pack', 'displacement'),
  sidePlus: notNegative('the room toward 3', 'displacement'),
  sideMinus: notNegative('the room toward 9', 'displacement'),
  locked: z.boolean().optional(),
})
