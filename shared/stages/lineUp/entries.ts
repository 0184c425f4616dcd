import { z } from 'zod'
import { LINE_STEPS } from '../../../core/stages/lineUp/entries'
import { figure, notNegative, oneOf, positive, units, whole } from '../../calculation/fields'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'

const lies = {
  edgeOn: oneOf('edge-lies-on', ['motor', 'driven']),
  edgeSide: oneOf('edge-face', ['outer', 'inner']),
}
const touches = z.boolean({ error: issue('say-whether-the-edge-touches-there') })
const gap = notNegative('gap-at-the-rim')
const apart = positive('apart')

export const lineUpKinds = {
  'contacts-checked': defineKind(
    'contacts-checked',
    z.object({
      ...lies,
      reference: z.object({ far: touches, near: touches }),
      other: z.object({ near: touches, far: touches }),
    }),
  ),
  'sheaves-read': defineKind(
    'sheaves-read',
    z.object({
      ...lies,
      units,
      p1: gap,
      p2: gap,
      w: apart,
      reference: z.object({ r1: gap, r2: gap, wR: apart }).nullable(),
      // Shifted up or down, the edge may have to come nearer than it lay: these two may be negative.
      tilt: z.object({ g12: figure('upper-gap'), g6: figure('lower-gap'), h: apart }).nullable(),
      by: oneOf('edge-or-string', ['edge', 'string']).optional(),
      grooves: z.object({ motor: whole('groove', 1, 40), driven: whole('groove', 1, 40) }).optional(),
      halfTurn: z
        .object({
          p1: gap,
          p2: gap,
          tilt: z.object({ g12: figure('upper-gap'), g6: figure('lower-gap') }).nullable(),
        })
        .optional(),
    }),
  ),
  'line-corrected': defineKind(
    'line-corrected',
    z.object({
      steps: z
        .array(oneOf('step-of-the-line', LINE_STEPS))
        .min(1, { error: issue('one-step-at-least') })
        .max(3),
      remark: text('remark'),
    }),
  ),
}
