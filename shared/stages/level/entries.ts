import { z } from 'zod'
import { clock, figure, notNegative, oneOf, positive, units } from '../../calculation/fields'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'
import { footChanges } from '../feet'

const machine = oneOf('which-machine', ['movable', 'stationary'])

export const levelKinds = {
  'level-read': defineKind(
    'level-read',
    z.object({
      units,
      machine,
      reading: z.discriminatedUnion(
        'by',
        [
          z.object({
            by: z.literal('feeler'),
            feeler: notNegative('feeler'),
            supported: positive('supported-length'),
            low: oneOf('low-end', ['coupling', 'far']),
          }),
          z.object({
            by: z.literal('divisions'),
            divisions: figure('divisions-off-centre'),
            reversed: figure('divisions-with-the-level-turned-end-for').nullable(),
            sensitivity: positive('levels-sensitivity'),
          }),
        ],
        { error: issue('one-of', 'level-by', 'feeler, divisions') },
      ),
      remark: text('remark'),
    }),
  ),
  'machine-levelled': defineKind(
    'machine-levelled',
    z.object({ units, changes: footChanges, remark: text('remark') }),
  ),
  'runout-read': defineKind(
    'runout-read',
    z.object({
      units,
      machine,
      surface: oneOf('surface', ['rim', 'face', 'shaft']),
      diameter: positive('diameter-the-dial-runs-on').nullable(),
      readings: z
        .array(z.object({ clock, value: figure('reading') }), {
          error: issue('give-the-readings-as-a-list-3'),
        })
        .min(3, { error: issue('at-least', 'reading', 3) })
        .max(72, { error: issue('at-most', 'reading', 72) }),
      limit: positive('run-out-limit').nullable(),
      remark: text('remark'),
    }),
  ),
}
