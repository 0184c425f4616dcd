import { z } from 'zod'
import { COUPLING_TYPES } from '../../core/register/couplingParts'
import { FEWEST_BOLTS, MOST_BOLTS, SPIGOT_FITS } from '../../core/register/flangeMachine'
import { notNegative, oneOf, positive, tolerance, whole } from '../calculation/fields'
import { issue } from '../issue'
import { usualSchemas } from '../methods/setUps'
import { boltsFields } from '../stages/move/entries'
import { text, words } from '../text'
import { commonFields, shims } from './common'
import { hubs } from './coupledMachine'

/** What a person writes about a motor that stands on a flange over its driven machine; in its own units. */
export const flangeFields = z
  .object({
    drive: z.literal('flange'),
    ...commonFields,
    couplingKind: words('kind-of-coupling', 60),
    usual: z.discriminatedUnion('method', usualSchemas, { error: issue('unknown-method') }),
    flange: z.object({
      bolts: whole('number-of-bolts', FEWEST_BOLTS, MOST_BOLTS),
      across: z.object({ v: positive('bolt-circle-12-to-6'), h: positive('bolt-circle-9-to-3') }),
      plane: positive('distance-to-the-flange'),
      existing: z
        .array(shims, { error: issue('shims-by-bolt') })
        .max(MOST_BOLTS, { error: issue('at-most', 'bolts-', MOST_BOLTS) }),
      spigot: oneOf('spigot-fit', SPIGOT_FITS),
      play: notNegative('spigot-play').nullable(),
      school: oneOf('school-of-shims', ['coplanar', 'pairwise']),
    }),
    couplingType: oneOf('kind-of-coupling-inside', COUPLING_TYPES).optional(),
    /** The size cut for its bolts; shims of other sizes are not offered. */
    shimSize: text('shim-size', 20).optional(),
    hubs: hubs.optional(),
    bolts: boltsFields.optional(),
    tolerance,
  })
  .superRefine(({ flange, tolerance: limit, usual }, context) => {
    if (flange.existing.length > flange.bolts)
      context.addIssue({
        code: 'custom',
        path: ['flange', 'existing'],
        message: issue('more-packs-than-bolts'),
      })
    if (limit.form === 'flex-plane' || (limit.form === 'speed-rule' && limit.spoolLength !== undefined))
      context.addIssue({
        code: 'custom',
        path: ['tolerance', 'spoolLength'],
        message: issue('no-spool-on-a-flange'),
      })
    if (usual.method === 'foot-values' || usual.method === 'spacer-faces')
      context.addIssue({ code: 'custom', path: ['usual', 'method'], message: issue('not-on-a-flange') })
  })

export type FlangeFields = z.infer<typeof flangeFields>
