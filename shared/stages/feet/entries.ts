import { z } from 'zod'
import { notNegative, oneOf, positive, units } from '../../calculation/fields'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'
import { footChange, footRef } from '../feet'

const corners = z.object({
  outboardOuter: notNegative('corner-gap'),
  outboardInner: notNegative('corner-gap'),
  inboardOuter: notNegative('corner-gap'),
  inboardInner: notNegative('corner-gap'),
})

export const feetKinds = {
  'gaps-felt': defineKind(
    'gaps-felt',
    z.object({
      units,
      gaps: z
        .array(
          footRef.extend({
            corners,
            size: z.object({ along: positive('foot-size'), across: positive('foot-size') }).nullable(),
          }),
        )
        .max(24, { error: issue('too-many-pairs') }),
    }),
  ),
  'rises-read': defineKind(
    'rises-read',
    z.object({
      units,
      rises: z
        .array(footRef.extend({ rise: notNegative('foot-rise') }))
        .max(24, { error: issue('too-many-pairs') }),
      pipe: oneOf('pipe-flanges', ['bolted', 'slack']),
      remark: text('remark'),
    }),
  ),
  'foot-filled': defineKind('foot-filled', z.object({ units, change: footChange, why: text('why', 500) })),
}
