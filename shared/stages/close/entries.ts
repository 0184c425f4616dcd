import { z } from 'zod'
import { DUE_FOR } from '../../../core/stages/close/due'
import { GLASS, MOST_POINTS, MOST_STROKES } from '../../../core/stages/close/glass'
import { issue } from '../../issue'
import { oneOf, whole } from '../../calculation/fields'
import { defineKind } from '../../logbook/kind'
import { text, words } from '../../text'

/** Points x, y, x, y … on the glass. */
const stroke = z
  .array(
    z
      .int({ error: issue('strokes') })
      .min(0, { error: issue('strokes') })
      .max(GLASS.width, { error: issue('strokes') }),
    { error: issue('strokes') },
  )
  .refine((s) => s.length >= 2 && s.length % 2 === 0, { error: issue('strokes') })
  .refine((s) => s.every((v, i) => i % 2 === 0 || v <= GLASS.height), { error: issue('strokes') })

export const closingKinds = {
  'job-closed': defineKind(
    'job-closed',
    z.object({
      signedBy: words('who-signs', 120),
      remarks: text('remarks', 4000),
      exception: text('exception', 1000),
      due: z
        .object({
          on: z.iso.date({ error: issue('day', 'next-look') }),
          what: oneOf('reason-to-come-back', DUE_FOR),
          words: text('note', 200),
        })
        .nullable()
        .optional(),
      customer: z
        .object({
          name: words('who-signs-for-the-customer', 120),
          strokes: z
            .array(stroke, { error: issue('strokes') })
            .max(MOST_STROKES, { error: issue('strokes-too-many') })
            .refine((s) => s.flat().length <= 2 * MOST_POINTS, { error: issue('strokes-too-many') }),
        })
        .nullable()
        .optional(),
      signed: z
        .object({
          verdict: oneOf('signed-verdict', ['in', 'edge', 'out', 'unknown']),
          foldVersion: whole('fold-version', 1, 1_000_000),
        })
        .nullable(),
    }),
  ),
}
