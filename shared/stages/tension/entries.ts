import { z } from 'zod'
import { BELT_AGES } from '../../../core/belt/tension'
import { figure, oneOf, positive, units } from '../../calculation/fields'
import { issue, type Thing } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'

const each = (what: Thing) =>
  z
    .array(positive(what), { error: issue('say', 'reading-of-each-belt') })
    .min(1, { error: issue('say', 'reading-of-each-belt') })
    .max(40, { error: issue('at-most', 'reading-of-each-belt', 40) })
const lengths = each('deflection')

const read = z.discriminatedUnion('by', [
  z.object({ by: z.literal('force'), deflection: positive('deflection'), forces: each('force') }),
  z.object({ by: z.literal('deflection'), force: positive('force'), deflections: lengths }),
  z.object({ by: z.literal('frequency'), hertz: each('frequency') }),
  z
    .object({ by: z.literal('marks'), slack: positive('marks-apart'), apart: each('marks-apart') })
    .superRefine(({ slack, apart }, context) => {
      apart.forEach((a, i) => {
        if (a < slack)
          context.addIssue({ code: 'custom', path: ['apart', i], message: issue('marks-nearer-than-slack') })
      })
    }),
  z.object({
    by: z.literal('hand'),
    deflections: lengths,
    window: z
      .tuple([positive('deflection'), positive('deflection')])
      .refine(([least, most]) => least < most, { error: issue('window', 'deflection') })
      .nullable(),
  }),
])
/** More than anybody turns at a time. */
const turns = figure('turns-given')
  .min(-100, { error: issue('too-large', 'turns-given') })
  .max(100, {
    error: issue('too-large', 'turns-given'),
  })

export const tensionKinds = {
  'tension-read': defineKind(
    'tension-read',
    z.object({
      units,
      age: oneOf('age-of-the-belts', BELT_AGES as readonly ['run-in', 'new']),
      sheaves: oneOf('sheaves-while-pushed', ['free', 'held']),
      read,
      words: text('remark', 2000),
    }),
  ),
  'tension-adjusted': defineKind(
    'tension-adjusted',
    z
      .object({ sheaveEnd: turns, farEnd: turns, words: text('remark', 2000) })
      .refine(({ sheaveEnd, farEnd }) => sheaveEnd !== 0 || farEnd !== 0, {
        path: ['sheaveEnd'],
        error: issue('say', 'turns-given'),
      }),
  ),
}
