import { z } from 'zod'
import { figure, positive } from '../calculation/fields'
import { issue } from '../issue'
import { MOST_BOLTS } from '../../core/register/flangeMachine'

/** A bolt of a flange by its number, the marked one at 12 being the first. */
export const boltId = z
  .string({ error: issue('bolts-by-number') })
  .regex(/^[1-9]\d?$/, { error: issue('bolts-by-number') })

const leaves = z
  .array(positive('shim-thickness'), { error: issue('shims-as-a-list') })
  .max(20, { error: issue('that-is-more-than-twenty-shims') })

/** What is done under each bolt. */
export const boltChanges = z
  .array(z.object({ bolt: boltId, takenOut: leaves, putIn: leaves }), { error: issue('bolts-as-a-list') })
  .max(MOST_BOLTS, { error: issue('at-most', 'bolts-', MOST_BOLTS) })

/** A push of a flange, or what it has still to go: toward 12 and toward 3. */
export const pushTold = z.object({ v: figure('push-toward-12'), h: figure('push-toward-3') })
