import { issue } from '../issue'
import { z } from 'zod'
import { forecastRunIn } from '../../core/belt/runIn'
import { interval } from './beltFields'
import { defineOperation } from './defineOperation'
import { notNegative, positive, units } from './fields'
import { out } from './results'
import { done } from '../../core/outcome'

/** When a belt's tension will leave its band. */
export const runInOperation = defineOperation({
  name: 'run-in',
  summary:
    'When belt tension will leave its band, from dated tensions: a decay where they fall ever more slowly.',
  input: z.object({
    units,
    points: z
      .array(z.object({ days: notNegative('days'), tension: positive('tension', 'force') }), {
        error: issue('give-the-points-as-a-list'),
      })
      .min(2, { error: issue('give-at-least-two-dated-tensions') })
      .max(200, { error: issue('give-at-most-two-hundred') }),
    band: interval('tension', 'force'),
    repeat: positive('repeat-of-the-gauge')
      .max(0.5, { error: issue('at-most', 'repeat-of-the-gauge', 0.5) })
      .optional()
      .describe('One reading’s standard deviation as a share of it; readings count as exact without it.'),
  }),
  result: z.object({
    model: z.union([
      z.object({ kind: z.literal('decay'), settles: out('force'), falls: out('force'), tau: out() }),
      z.object({ kind: z.literal('line'), at0: out('force'), perDay: out('force') }),
    ]),
    leavesAt: out().nullable().describe('Day it falls below the band; null when it never does.'),
    interval: z.tuple([out(), out().nullable()]).nullable(),
    belowNow: z.boolean(),
    known: z.boolean().describe('False where the repeat alone could make this fall.'),
  }),
  compute: ({ points, band, repeat }) => {
    const forecast = forecastRunIn(points, band[0], repeat)
    return forecast.ok ? done(forecast.value) : forecast
  },
})
