import { issue } from '../issue'
import { z } from 'zod'
import { gearContact } from '../../core/gear/gearContact'
import { done } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { band, notNegative, positive, units } from './fields'
import { out } from './results'

const end = z
  .number({ error: issue('give-the-contact-zone-from-1') })
  .min(-1, { error: issue('give-the-contact-zone-from-1-2') })
  .max(1, { error: issue('give-the-contact-zone-from-1-2') })
const zone = z.tuple([end, end], { error: issue('give-the-zone-as-from-to') })

/** Contact pattern and backlash of a disturbed gearset. */
export const gearContactOperation = defineOperation({
  name: 'gear-contact',
  summary: 'What the blued contact of both running directions says: shift the blocks or the gear; backlash.',
  input: z.object({
    units,
    forward: zone,
    reverse: zone,
    wanted: zone,
    backlash: notNegative('backlash', 'displacement').optional(),
    window: band('backlash', 'displacement').optional(),
    pressureAngle: positive('pressure-angle')
      .min(5, { error: issue('give-the-pressure-angle-between-5') })
      .max(45, { error: issue('give-the-pressure-angle-between-5') })
      .optional(),
  }),
  result: z.object({
    off: z.object({ forward: out(), reverse: out() }),
    advice: z.array(z.string()),
    blocksToward: out(),
    backlash: z
      .object({ margin: out(), verdict: z.enum(['in', 'edge', 'out']), centreChange: out('displacement') })
      .nullable(),
  }),
  compute: (given) => done(gearContact({ ...given, pressureAngle: given.pressureAngle ?? 20 })),
})
