import { issue } from '../issue'
import { z } from 'zod'
import { axialGap } from '../../core/growth/axialGap'
import { EXPANSION } from '../../core/growth/materials'
import { done } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { band, notNegative, positive, units } from './fields'
import { alpha, material, temperature } from './growth'
import { maybe, out } from './results'

const shaft = z
  .object({
    length: positive('length-from-thrust-bearing-to-coupling-face', 'distance'),
    material: material.optional(),
    alpha: alpha.optional(),
    coldTemp: temperature('cold-temperature'),
    runTemp: temperature('running-temperature'),
    closesGap: z.boolean().optional().describe('False when this shaft grows away from the coupling.'),
  })
  .superRefine((value, context) => {
    if (value.material === undefined && value.alpha === undefined)
      context.addIssue({
        code: 'custom',
        path: ['material'],
        message: issue('give-the-shafts-material-or-its'),
      })
  })

/** Cold gap between the hubs from the running gap and how the shafts grow. */
export const axialGapOperation = defineOperation({
  name: 'axial-gap',
  summary: 'The cold gap between the hubs from the wanted running gap and how the shafts grow.',
  input: z.object({
    units,
    runningGap: notNegative('running-gap', 'distance'),
    shafts: z
      .array(shaft, { error: issue('give-the-shafts-as-a-list') })
      .min(1)
      .max(2),
    float: notNegative('axial-float', 'distance').optional(),
    window: band('cold-gap', 'distance').optional(),
    measured: notNegative('measured-gap', 'distance').optional(),
  }),
  result: z.object({
    coldGap: out('distance'),
    growth: out('distance'),
    floatEnds: z.tuple([out('distance'), out('distance')]).nullable(),
    margin: maybe(),
    verdict: z.enum(['in', 'edge', 'out']).nullable(),
    collides: z
      .enum(['cold', 'running'])
      .nullable()
      .describe('When the hubs would touch, float counted; out then, whatever the window says.'),
    move: maybe('distance').describe('Movable machine along the shaft; positive opens the gap.'),
  }),
  compute: (given) =>
    done(
      axialGap({
        ...given,
        shafts: given.shafts.map((s) => ({
          length: s.length,
          alpha: s.alpha ?? EXPANSION[s.material ?? 'steel'],
          rise: s.runTemp - s.coldTemp,
          closesGap: s.closesGap ?? true,
        })),
      }),
    ),
})
