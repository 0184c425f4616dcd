import { z } from 'zod'
import { clock, figure, oneOf, units } from '../../calculation/fields'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { text, uuid, why } from '../../text'

const typedReadings = z
  .array(z.object({ clock, value: figure('reading'), group: text('zero-group', 40).optional() }), {
    error: issue('readings-as-a-list'),
  })
  .min(2, { error: issue('two-readings-a-dial') })
  .max(72, { error: issue('most-readings-a-dial') })

const byCircle = <T extends z.ZodType>(value: T) =>
  z.record(z.string().min(1).max(40), value, { error: issue('by-circle') })

export const readingKinds = {
  'readings-taken': defineKind(
    'readings-taken',
    z.object({
      units,
      circles: byCircle(typedReadings),
      returned: byCircle(figure('after-the-turn')).nullable(),
      turned: oneOf('way-turned', ['with', 'against']).optional(),
    }),
  ),
  'set-used-anyway': defineKind('set-used-anyway', z.object({ set: uuid('set'), why })),
  'set-left-out': defineKind('set-left-out', z.object({ set: uuid('set'), why })),
}
