import { issue } from '../issue'
import { z } from 'zod'
import { runout, starterRunoutLimit } from '../../core/runout/runout'
import { done } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { oneOf, positive, readings, rpm, units } from './fields'
import { maybe, out } from './results'

const harmonic = z.object({ amplitude: out('displacement'), highAt: out() })

/** One turn of a hub under a fixed dial, taken apart. */
export const runoutOperation = defineOperation({
  name: 'runout',
  summary:
    'Eccentricity or wobble and ovality of a hub from one turn under a fixed dial, with the high spot.',
  input: z
    .object({
      units,
      readings,
      rpm: rpm.optional(),
      surface: oneOf('surface', ['rim', 'face']),
      diameter: positive('diameter-the-dial-runs-on', 'distance').optional(),
      limit: positive('run-out-limit', 'displacement').optional(),
    })
    .superRefine((value, context) => {
      if (value.rpm === undefined && value.limit === undefined)
        context.addIssue({
          code: 'custom',
          path: ['rpm'],
          message: issue('give-the-speed-in-rpm-or'),
        })
    }),
  result: z.object({
    tir: out('displacement'),
    first: harmonic,
    second: harmonic.nullable(),
    residualRms: out('displacement'),
    slope: maybe('slope'),
    strikeAt: out().describe('Clock mark of the high spot: the side to strike or bring in.'),
    limit: out('displacement'),
    margin: out(),
    verdict: z.enum(['in', 'edge', 'out']),
    source: z.string(),
  }),
  compute: (given) => {
    const found = runout({ ...given, limit: given.limit ?? starterRunoutLimit(given.rpm ?? 1) })
    if (!found.ok) return found
    const source = given.limit === undefined ? `Starter rule for run-out at ${given.rpm} rpm` : 'Own limit'
    return done({ ...found.value, source })
  },
})
