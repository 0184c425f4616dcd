import { z } from 'zod'
import { figure, notNegative, oneOf, positive, units } from '../../calculation/fields'
import { issue, type Thing } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'
import { footChanges, sideChanges } from '../feet'

const clock = z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)], {
  error: issue('one-of', 'clock-position', '0, 90, 180, 270'),
})

/** Places felt at 12, 3, 6 or 9, one figure or one blade each. */
const places = (what: Thing, value: z.ZodNumber, passes: z.ZodNumber) =>
  z
    .array(
      z.union(
        [
          z.strictObject({ clock, value }),
          z.strictObject({ clock, passes }),
          z.strictObject({ clock, stops: notNegative('blade-that-stops') }),
        ],
        { error: issue('value-or-blade', what) },
      ),
      { error: issue('give-the-readings-as-a-list-3') },
    )
    .max(4, { error: issue('four-places') })
    .superRefine((list, context) =>
      list.forEach((p, i) => {
        if (list.slice(0, i).some((o) => o.clock === p.clock))
          context.addIssue({ code: 'custom', path: [i, 'clock'], message: issue('one-figure-a-place') })
      }),
    )

export const roughInKinds = {
  'hubs-felt': defineKind(
    'hubs-felt',
    z
      .object({
        units,
        steps: places('rim-step', figure('rim-step'), figure('blade-that-passes')),
        gaps: places('gap', notNegative('gap'), notNegative('blade-that-passes')),
        diameter: positive('diameter-the-gaps-are-read-on').nullable(),
        hubs: z
          .object({
            stationary: positive('stationary-hubs-diameter'),
            movable: positive('movable-hubs-diameter'),
          })
          .nullable(),
        coupled: z.boolean({ error: issue('yes-or-no') }),
        drag: oneOf('blade-drag', ['front', 'back', 'even']).nullable(),
        pushed: z.boolean({ error: issue('yes-or-no') }).nullable(),
        remark: text('remark'),
      })
      .superRefine(({ steps, gaps }, context) => {
        if (steps.length + gaps.length === 0)
          context.addIssue({ code: 'custom', path: ['steps'], message: issue('feel-something') })
      }),
  ),
  'hubs-roughed': defineKind(
    'hubs-roughed',
    z.object({ units, changes: footChanges, side: sideChanges, remark: text('remark') }),
  ),
}
