import { z } from 'zod'
import { gapStraightedge } from '../../core/coupling/gapStraightedge'
import { judgeBounds } from '../../core/judge/judgeBounds'
import { done } from '../../core/outcome'
import { answerLine, methodFields, trustLimits } from './couplingMethod'
import { defineOperation } from './defineOperation'
import { clock, figure, notNegative, positive } from './fields'
import { methodOut, maybe } from './results'
import { settled } from './settled'
import type { Measured } from '../../core/units/unitSystem'

const feelers = (what: string) =>
  z
    .array(
      z.union(
        [
          z.object({ clock, value: figure(what, 'displacement'), group: z.string().max(40).optional() }),
          z.object({ clock, passes: figure('the blade that passes', 'displacement') }),
          z.object({ clock, stops: notNegative('the blade that stops', 'displacement') }),
        ],
        { error: `Give ${what} as clock and value, or clock and the blade that passes or stops.` },
      ),
      { error: 'Give the readings as a list.' },
    )
    .min(1, { error: 'Give at least one reading.' })
    .max(400, { error: 'Give at most 400 readings.' })

const radius = (what: string) => positive(what, 'distance')

const input = z
  .object({
    ...methodFields,
    gaps: z
      .object({
        diameter: positive('the diameter the gaps are read on', 'distance'),
        readings: feelers('the gap'),
      })
      .optional(),
    rises: z
      .object({
        hubRadius: z.object({
          stationary: radius('the stationary hub’s radius'),
          movable: radius('the movable hub’s radius'),
        }),
        readings: feelers('the rim step'),
      })
      .optional(),
  })
  .superRefine((value, context) => {
    if (!value.gaps && !value.rises)
      context.addIssue({
        code: 'custom',
        path: ['gaps'],
        message: 'Give feeler gaps (gaps), rim steps under a straightedge (rises), or both.',
      })
  })

const bound = (measured: Measured) => z.tuple([maybe(measured), maybe(measured)])
const bounds = (measured: Measured) => z.object({ v: bound(measured), h: bound(measured) })
const boundVerdict = <M extends 'displacement' | 'slope'>(kind: M) =>
  z.object({
    name: z.string(),
    kind: z.literal(kind),
    bounds: bound(kind),
    low: maybe(kind),
    high: maybe(kind),
    verdict: z.enum(['in', 'out', 'unknown']),
  })

/** Feeler gaps and straightedge through the contract; go/no-go blades give bounds. */
export const gapStraightedgeOperation = defineOperation({
  name: 'gap-straightedge',
  summary: 'Slope from feeler gaps and offset from rim steps under a straightedge; unknowns stay null.',
  input,
  result: methodOut.extend({
    bounds: z.object({ offset: bounds('displacement'), slope: bounds('slope') }),
    judgedBounds: z
      .array(z.union([boundVerdict('displacement'), boundVerdict('slope')]))
      .optional()
      .describe('Only with a tolerance: in when all that the bounds allow is inside.'),
  }),
  compute: (given) => {
    const { gaps, rises } = given
    const measured = gapStraightedge(
      {
        gaps,
        rises: rises && {
          radiusDifference: rises.hubRadius.movable - rises.hubRadius.stationary,
          readings: rises.readings,
        },
      },
      trustLimits(given),
    )
    if (!measured.ok) return measured
    const { coupling, trust } = measured.value
    const limits = given.tolerance ? settled(given.tolerance, given.rpm) : null
    if (limits && !limits.ok) return limits
    return done({
      ...answerLine(given, coupling, trust),
      bounds: measured.value.bounds,
      ...(limits ? { judgedBounds: judgeBounds(measured.value.bounds, limits.value) } : {}),
    })
  },
})
