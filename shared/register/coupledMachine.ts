import { z } from 'zod'
import { COUPLING_TYPES } from '../../core/register/couplingParts'
import { figure, notNegative, oneOf, positive, tolerance } from '../calculation/fields'
import { issue } from '../issue'
import { usualSchemas } from '../methods/setUps'
import { text, words } from '../text'
import { pairId, refuseCrowdedPairs } from '../stages/feet'
import { boltsFields } from '../stages/move/entries'
import { targetFields } from '../stages/target/entries'
import { commonFields, footing } from './common'

const pair = z.object({ id: pairId, x: figure('distance-to-the-feet'), ...footing })

type Pairs = readonly z.infer<typeof pair>[]

const crowded = (machine: string) => (pairs: Pairs, context: z.RefinementCtx) =>
  refuseCrowdedPairs(
    pairs.map(({ id, x }) => ({ machine, pair: id, x })),
    context,
    'id',
  )

/** Foot pairs from the coupling outward: each stands further away than the one before it. */
const outward = (sign: 1 | -1) => (pairs: Pairs, context: z.RefinementCtx) =>
  pairs.forEach((p, i) => {
    const before = pairs[i - 1]
    if (sign * p.x <= 0)
      context.addIssue({ code: 'custom', path: [i, 'x'], message: issue('feet-on-the-wrong-side') })
    else if (before && sign * p.x < sign * before.x)
      context.addIssue({ code: 'custom', path: [i, 'x'], message: issue('feet-from-the-coupling-outward') })
  })

const maybe = (field: z.ZodNumber) => field.nullable()

/** The hubs, and what feelers between them are held against; all of it may be unknown. */
export const hubs = z
  .object({
    stationaryDiameter: maybe(positive('stationary-hubs-diameter')),
    movableDiameter: maybe(positive('movable-hubs-diameter')),
    gapLeast: maybe(notNegative('gap')),
    gapMost: maybe(notNegative('gap')),
    float: maybe(notNegative('shaft-float')),
    closeEnough: maybe(positive('close-enough')),
    rimLimit: maybe(positive('rim-limit')),
    faceLimit: maybe(positive('face-limit')),
  })
  .superRefine(({ gapLeast, gapMost, rimLimit, faceLimit }, context) => {
    if (gapLeast !== null && gapMost !== null && gapLeast > gapMost)
      context.addIssue({ code: 'custom', path: ['gapMost'], message: issue('most-below-least') })
    if ((rimLimit === null) !== (faceLimit === null))
      context.addIssue({
        code: 'custom',
        path: [rimLimit === null ? 'rimLimit' : 'faceLimit'],
        message: issue('both-feeler-limits'),
      })
  })

/** What a person writes about a coupled machine; distances and shims in its own units. */
export const coupledFields = z.object({
  drive: z.literal('coupled'),
  ...commonFields,
  couplingKind: words('kind-of-coupling', 60),
  usual: z.discriminatedUnion('method', usualSchemas, { error: issue('unknown-method') }),
  feet: z.object({
    movable: z
      .array(pair, { error: issue('feet-as-a-list') })
      .min(2, { error: issue('both-foot-pairs') })
      .max(6, { error: issue('too-many-pairs') })
      .superRefine(outward(1))
      .superRefine(crowded('movable')),
    stationary: z
      .array(pair, { error: issue('feet-as-a-list') })
      .max(6, { error: issue('too-many-pairs') })
      .superRefine(outward(-1))
      .superRefine(crowded('stationary')),
  }),
  couplingType: oneOf('kind-of-coupling-inside', COUPLING_TYPES).optional(),
  /** The size cut for its bolts; shims of other sizes are not offered. */
  shimSize: text('shim-size', 20).optional(),
  hubs: hubs.optional(),
  target: targetFields.optional(),
  bolts: boltsFields.optional(),
  tolerance,
})

export type CoupledFields = z.infer<typeof coupledFields>
