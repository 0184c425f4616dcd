import { z } from 'zod'
import { BACKLASH_BY } from '../../../core/gear/backlash'
import { notNegative, oneOf, units, whole } from '../../calculation/fields'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'

/** More places than anybody reads round a gear. */
export const MOST_BACKLASH = 12

export const backlashKinds = {
  'backlash-read': defineKind(
    'backlash-read',
    z.object({
      units,
      by: oneOf('way-backlash-was-read', BACKLASH_BY),
      readings: z
        .array(notNegative('backlash', 'displacement'), { error: issue('say', 'backlash') })
        .min(1, { error: issue('say', 'backlash') })
        .max(MOST_BACKLASH, { error: issue('at-most', 'backlash', MOST_BACKLASH) }),
      words: text('remark', 2000),
    }),
  ),
  'layers-changed': defineKind(
    'layers-changed',
    z.object({
      layers: z
        .array(whole('layers', -200, 200), { error: issue('say', 'layers') })
        .min(1, { error: issue('say', 'layers') })
        .max(8, { error: issue('say', 'layers') }),
      words: text('remark', 2000),
    }),
  ),
}
