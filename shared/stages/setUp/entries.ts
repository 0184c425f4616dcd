import { z } from 'zod'
import { clock, figure, oneOf, positive, units } from '../../calculation/fields'
import { SET_UP_CHECKS } from '../../../core/stages/setUp/checks'
import { FLANGE_TAPES } from '../../../core/stages/setUp/entries'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { setUpSchemas } from '../../methods/setUps'
import { text } from '../../text'
import { pairId, refuseCrowdedPairs } from '../feet'

const byCircle = (value: z.ZodType<number>) =>
  z.record(z.string().min(1).max(40), value, { error: issue('by-circle') })
/** By the method's own number, like `sag`. */
const byNumber = <T extends z.ZodType>(value: T) =>
  z
    .record(z.string().min(1).max(40), value, { error: issue('bars-by-their-number') })
    .refine((bars) => Object.keys(bars).length <= 4, { error: issue('bars-by-their-number') })

export const setUpKinds = {
  'set-up': defineKind(
    'set-up',
    z.object({
      units,
      how: z.discriminatedUnion('method', setUpSchemas, { error: issue('unknown-method') }),
      told: z.object({
        sag: oneOf('how-the-sag-was-told', ['hang', 'pipe-at-6']),
        circle: oneOf('how-the-circle-was-taped', ['diameter', 'radius']),
      }),
      feet: z
        .array(
          z.object({
            machine: oneOf('which-machine', ['movable', 'stationary']),
            pair: pairId,
            x: figure('distance-to-the-feet'),
          }),
          { error: issue('feet-as-a-list') },
        )
        .max(24, { error: issue('too-many-pairs') })
        .superRefine(refuseCrowdedPairs),
      flange: z
        .object({
          told: oneOf('how-the-flange-was-taped', FLANGE_TAPES),
          across: z.object({ v: positive('bolt-circle-12-to-6'), h: positive('bolt-circle-9-to-3') }),
          plane: positive('distance-to-the-flange'),
        })
        .optional(),
      graduation: byCircle(positive('graduation')),
      returned: byCircle(figure('after-the-turn')),
      why: text('why', 500),
      checked: z
        .array(oneOf('set-up-checks', SET_UP_CHECKS), { error: issue('checks-as-a-list') })
        .max(SET_UP_CHECKS.length, { error: issue('checks-as-a-list') })
        .optional(),
      pipe: byNumber(
        z.object({
          at3: figure('reading').nullable(),
          at6: figure('reading'),
          at9: figure('reading').nullable(),
          back: figure('after-the-turn'),
        }),
      ).optional(),
      nudged: z.object({ own: figure('reading'), other: figure('reading') }).optional(),
      markUp: clock.optional(),
      refit: text('remark', 300).optional(),
    }),
  ),
}
