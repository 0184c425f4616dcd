import { z } from 'zod'
import { COUPLING_TYPES } from '../../core/register/couplingParts'
import { DRUM_KINDS, DRUM_LOADS } from '../../core/register/drumMachine'
import { figure, oneOf, positive, tolerance } from '../calculation/fields'
import { issue } from '../issue'
import { usualSchemas } from '../methods/setUps'
import { pairId } from '../stages/feet'
import { boltsFields } from '../stages/move/entries'
import { text, words } from '../text'
import { commonFields, footing } from './common'
import { hubs } from './coupledMachine'

const pair = z.object({
  id: pairId,
  x: positive('distance-to-the-feet').nullable(),
  ...footing,
})

const end = figure('drum-window').nullable()
const band = z
  .tuple([end, end])
  .refine(([low, high]) => low === null || high === null || low <= high, { error: issue('most-below-least') })
const windows = z.object({ side: band, top: band })

/** What a person writes about a motor that is trammed to a drum; distances and shims in its own units. */
export const drumFields = z
  .object({
    drive: z.literal('drum'),
    ...commonFields,
    couplingKind: words('kind-of-coupling', 60),
    usual: z.discriminatedUnion('method', usualSchemas, { error: issue('unknown-method') }),
    feet: z.object({
      movable: z
        .array(pair, { error: issue('feet-as-a-list') })
        .min(2, { error: issue('both-foot-pairs') })
        .max(6, { error: issue('too-many-pairs') }),
      stationary: z
        .array(pair, { error: issue('feet-as-a-list') })
        .max(0, { error: issue('drum-has-no-feet') }),
    }),
    drum: z.object({
      kind: oneOf('kind-of-drum', DRUM_KINDS),
      load: oneOf('load-on-the-drum', DRUM_LOADS),
      windows: z.object({ rim: windows, face: windows }),
      runout: positive('drum-run-out').nullable(),
    }),
    couplingType: oneOf('kind-of-coupling-inside', COUPLING_TYPES).optional(),
    shimSize: text('shim-size', 20).optional(),
    hubs: hubs.optional(),
    bolts: boltsFields.optional(),
    tolerance,
  })
  .superRefine(({ feet, usual, tolerance: limit }, context) => {
    const fault = (path: PropertyKey[], message: string) =>
      context.addIssue({ code: 'custom', path, message })
    const { movable } = feet
    movable.forEach((f, i) => {
      const before = movable[i - 1]
      if (movable.some((other, j) => j < i && other.id === f.id))
        fault(['feet', 'movable', i, 'id'], issue('same-id', 'foot-pairs'))
      if ((f.x === null) !== (movable[0]?.x === null))
        fault(['feet', 'movable', i, 'x'], issue('all-or-no-distance'))
      else if (f.x !== null && before?.x != null && f.x <= before.x)
        fault(['feet', 'movable', i, 'x'], issue('feet-from-the-coupling-outward'))
    })
    if (usual.method !== 'rim-face' || usual.carriedBy !== 'movable' || usual.rimPlane !== 0)
      fault(['usual', 'method'], issue('not-at-a-drum'))
    if (limit.form === 'flex-plane' || (limit.form === 'speed-rule' && limit.spoolLength !== undefined))
      fault(['tolerance', 'spoolLength'], issue('no-spool-at-a-drum'))
  })

export type DrumFields = z.infer<typeof drumFields>
