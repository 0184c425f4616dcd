import { z } from 'zod'
import { MOST_BOLTS, SPIGOT_FITS } from '../../../core/register/flangeMachine'
import { notNegative, oneOf, positive, units, whole } from '../../calculation/fields'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'
import { boltId } from '../bolts'
import { refuseCutThrough, sheetOutline } from '../look/entries'

const words = text('what-was-found')

export const flangeLookKinds = {
  'bolt-shims-found': defineKind(
    'bolt-shims-found',
    z.object({
      units,
      bolts: z
        .array(
          z.object({
            bolt: boltId,
            leaves: z
              .array(z.object({ thickness: positive('shim-thickness'), mark: text('shim-mark', 40) }), {
                error: issue('shims-as-a-list'),
              })
              .max(20, { error: issue('that-is-more-than-twenty-shims') }),
          }),
          { error: issue('bolts-as-a-list') },
        )
        .min(1, { error: issue('bolts-as-a-list') })
        .max(MOST_BOLTS, { error: issue('at-most', 'bolts-', MOST_BOLTS) }),
      words,
    }),
  ),
  'spigot-felt': defineKind(
    'spigot-felt',
    z.object({
      units,
      fit: oneOf('spigot-fit', SPIGOT_FITS),
      play: notNegative('spigot-play').nullable(),
      words,
    }),
  ),
  'bolt-shims-cut': defineKind(
    'bolt-shims-cut',
    z
      .object({
        units,
        bolt: boltId,
        count: whole('shim-count', 1, 50),
        thickness: positive('shim-thickness'),
        outline: sheetOutline,
        words: text('what-was-found'),
      })
      .superRefine((cut, context) => refuseCutThrough(cut.outline, cut.units, context, ['outline'])),
  ),
}
