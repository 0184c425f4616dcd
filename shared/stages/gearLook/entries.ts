import { z } from 'zod'
import { oneOf, positive, units, whole } from '../../calculation/fields'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'
import { photographs } from '../contact/entries'

/** Most layers that lie under a block. */
export const MOST_LAYERS = 200

export const gearLookKinds = {
  'layers-marked': defineKind(
    'layers-marked',
    z.object({
      units,
      layer: positive('layer-thickness', 'displacement'),
      under: z
        .array(whole('layers', 0, MOST_LAYERS), { error: issue('say', 'layers') })
        .min(1, { error: issue('say', 'layers') })
        .max(8, { error: issue('say', 'layers') }),
      pins: oneOf('pins-done', ['marked', 'none']),
      marks: text('shim-mark', 120),
      photographs,
      words: text('remark', 2000),
    }),
  ),
}
