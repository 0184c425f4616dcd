import { z } from 'zod'
import { oneOf, units } from '../../calculation/fields'
import { defineKind } from '../../logbook/kind'
import { text, uuid } from '../../text'
import { boltChanges, pushTold } from '../bolts'

export const flangePlanKinds = {
  'flange-plan-chosen': defineKind(
    'flange-plan-chosen',
    z.object({
      units,
      does: oneOf('plan', ['coplanar', 'pairwise', 'push']),
      changes: boltChanges,
      push: pushTold.nullable(),
      why: text('why', 500),
      sets: z.array(uuid('set')).max(40),
    }),
  ),
}
