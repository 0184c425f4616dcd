import { z } from 'zod'
import { BACKLASH_BY } from '../../core/gear/backlash'
import { RUNS } from '../../core/gear/contactFigures'
import { SCHOOLS } from '../../core/gear/levers'
import { BLOCKS, GEAR_KINDS } from '../../core/register/gearMachine'
import { figure, oneOf, positive, whole } from '../calculation/fields'
import { issue } from '../issue'
import { paintedZone } from '../stages/contact/entries'
import { MOST_LAYERS } from '../stages/gearLook/entries'
import { text, words } from '../text'
import { commonFields } from './common'

const percent = figure('contact-limit')
  .min(0, { error: issue('percent-of-the-face') })
  .max(100, { error: issue('percent-of-the-face') })
  .nullable()
const zones = z.object({ forward: paintedZone, back: paintedZone })
const open = z
  .tuple([percent, percent])
  .refine(([begins, ends]) => begins === null || ends === null || begins < ends, {
    error: issue('zone-upside-down'),
  })
const response = z.object({ together: figure('contact-limit'), apart: figure('contact-limit') }).nullable()
const room = positive('room-to-shift').nullable()
const end = positive('backlash').nullable()

/** What a person writes about a gearset; shims, backlash and shifts in its own units, zones in percent of the face width. */
export const gearFields = z
  .object({
    drive: z.literal('gear'),
    ...commonFields,
    plateCurrent: positive('plate-current').optional(),
    gear: z.object({
      kind: oneOf('kind-of-gearset', GEAR_KINDS),
      ratio: positive('ratio').max(10_000, { error: issue('at-most', 'ratio', 10_000) }),
      pressureAngle: positive('pressure-angle')
        .min(5, { error: issue('give-the-pressure-angle-between-5') })
        .max(45, { error: issue('give-the-pressure-angle-between-5') }),
      ends: z.object({ from: words('end-of-a-tooth', 24), to: words('end-of-a-tooth', 24) }),
      school: oneOf('gear-school', SCHOOLS),
      wanted: z.object({ forward: open, back: open }),
      limits: z.object({
        off: percent,
        shortest: percent,
        longest: percent,
        covered: percent,
        source: text('source-of-the-limit', 200),
      }),
      backlash: z.object({
        by: oneOf('way-backlash-was-read', BACKLASH_BY),
        window: z.tuple([end, end]).refine(([low, high]) => low === null || high === null || low < high, {
          error: issue('most-below-least'),
        }),
      }),
      layers: z.object({
        thickness: positive('layer-thickness'),
        under: z.array(whole('layers', 0, MOST_LAYERS)).length(BLOCKS, { error: issue('say', 'layers') }),
        move: oneOf('way-layers-move', ['apart', 'closer']),
      }),
      room: z.object({ blocks: room, gear: room }),
      testShift: positive('test-shift').nullable(),
      responses: z.object({ blocks: response, gear: response }),
      leftAs: zones.nullable(),
      notes: z.object({
        covers: text('site-note', 400),
        seals: text('site-note', 400),
        waiting: text('site-note', 400),
      }),
    }),
  })
  .superRefine(({ gear: { ends, limits, wanted } }, context) => {
    const fault = (path: PropertyKey[], message: string) =>
      context.addIssue({ code: 'custom', path: ['gear', ...path], message })
    const given = RUNS.flatMap((run) => wanted[run].map((x, i) => ({ run, i, x })))
    const lacking = given.find(({ x }) => x === null)
    if (lacking && given.some(({ x }) => x !== null))
      fault(['wanted', lacking.run, lacking.i], issue('zones-all-or-none'))
    if (ends.from.trim().toLowerCase() === ends.to.trim().toLowerCase())
      fault(['ends', 'to'], issue('ends-alike'))
    if (limits.shortest !== null && limits.longest !== null && limits.shortest >= limits.longest)
      fault(['limits', 'longest'], issue('most-below-least'))
  })

export type GearFields = z.infer<typeof gearFields>
