import { z } from 'zod'
import { oneOf, units } from '../../calculation/fields'
import { defineKind } from '../../logbook/kind'
import { uuid } from '../../text'
import { footChanges, sideChanges } from '../feet'

export const planKinds = {
  'plan-chosen': defineKind(
    'plan-chosen',
    z.object({
      units,
      option: oneOf('plan', ['closest', 'fewest-feet', 'fewest-shims', 'least-lift', 'own']),
      changes: footChanges,
      side: sideChanges,
      sets: z.array(uuid('set')).max(40).nullable(),
    }),
  ),
}
