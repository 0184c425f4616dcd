import { issue } from '../issue'
import { z } from 'zod'
import { gearContact } from '../../core/gear/gearContact'
import { done } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { band, notNegative, oneOf, positive, units } from './fields'
import { out } from './results'

const end = z
  .number({ error: issue('give-the-contact-zone-from-1') })
  .min(-1, { error: issue('give-the-contact-zone-from-1-2') })
  .max(1, { error: issue('give-the-contact-zone-from-1-2') })
const zone = z.tuple([end, end], { error: issue('give-the-zone-as-from-to') })

const runOut = z.object({
  off: out(),
  length: out(),
  covers: out().describe('Share of the wanted zone that it covers.'),
  outside: out().describe('Share of it that lies outside of the wanted zone.'),
  faults: z.array(z.enum(['off', 'too-short', 'too-long', 'at-edge'])),
})

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
    backlashAs: oneOf('way-backlash-was-read', ['transverse', 'normal'])
      .optional()
      .describe('transverse: a dial on the tooth (usual); normal: a feeler between the flanks.'),
    window: band('backlash', 'displacement').optional(),
    pressureAngle: positive('pressure-angle')
      .min(5, { error: issue('give-the-pressure-angle-between-5') })
      .max(45, { error: issue('give-the-pressure-angle-between-5') })
      .optional(),
  }),
  result: z.object({
    off: z.object({ forward: out(), reverse: out() }),
    runs: z.object({ forward: runOut, reverse: runOut }),
    together: out().describe('What both runs have in common: half the sum of how far they are off.'),
    apart: out().describe('What sets them apart: half the difference.'),
    advice: z.array(z.string()),
    blocksToward: out(),
    backlash: z
      .object({ margin: out(), verdict: z.enum(['in', 'edge', 'out']), centreChange: out('displacement') })
      .nullable(),
  }),
  compute: (given) => done(gearContact({ ...given, pressureAngle: given.pressureAngle ?? 20 })),
})
