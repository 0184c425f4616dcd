import { z } from 'zod'
import { gearContact } from '../../core/gear/gearContact'
import { done } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { band, notNegative, positive, units } from './fields'
import { out } from './results'

const end = z
  .number({ error: 'Give the contact zone from -1 (one end of the tooth) to 1 (the other).' })
  .min(-1, { error: 'Give the contact zone from -1 to 1.' })
  .max(1, { error: 'Give the contact zone from -1 to 1.' })
const zone = z.tuple([end, end], { error: 'Give the zone as [from, to], each from -1 to 1.' })

/** Contact pattern and backlash of a disturbed gearset. */
export const gearContactOperation = defineOperation({
  name: 'gear-contact',
  summary: 'What the blued contact of both running directions says: shift the blocks or the gear; backlash.',
  input: z.object({
    units,
    forward: zone,
    reverse: zone,
    wanted: zone,
    backlash: notNegative('the backlash', 'displacement').optional(),
    window: band('backlash', 'displacement').optional(),
    pressureAngle: positive('the pressure angle')
      .min(5, { error: 'Give the pressure angle between 5 and 45 degrees.' })
      .max(45, { error: 'Give the pressure angle between 5 and 45 degrees.' })
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
