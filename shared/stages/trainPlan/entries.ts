import { z } from 'zod'
import { TRAIN_PLAN_KINDS } from '../../../core/stages/trainPlan/entries'
import { figure, oneOf, units } from '../../calculation/fields'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { uuid, why } from '../../text'
import { footChange, pairId } from '../feet'

/** A machine or a coupling of a train by its id. */
export const partId = z
  .string({ error: issue('part-of-the-train') })
  .min(1, { error: issue('part-of-the-train') })
  .max(40, { error: issue('part-of-the-train') })

const change = footChange.extend({ machine: partId })

export const trainPlanKinds = {
  'machine-freed': defineKind(
    'machine-freed',
    z.object({ machine: partId, may: z.boolean({ error: issue('may-it-move') }), why }),
  ),
  'train-plan-chosen': defineKind(
    'train-plan-chosen',
    z.object({
      units,
      option: oneOf('plan', TRAIN_PLAN_KINDS),
      changes: z.array(change).max(64, { error: issue('too-many-pairs') }),
      side: z
        .array(z.object({ machine: partId, pair: pairId, moved: figure('side-move') }))
        .max(32, { error: issue('too-many-pairs') }),
      sets: z.record(partId, z.array(uuid('set')).max(40)),
    }),
  ),
}
