import { issue, type Thing } from '../issue'
import { z } from 'zod'
import { gapStraightedge, type GapStraightedgeInput } from '../../core/coupling/gapStraightedge'
import { judgeBounds } from '../../core/judge/judgeBounds'
import { done } from '../../core/outcome'
import { answerLine, methodFields, trustLimits } from './couplingMethod'
import { defineOperation } from './defineOperation'
import { clock, figure, notNegative, positive } from './fields'
import { methodOut, maybe } from './results'
import { settled } from './settled'
import type { Measured } from '../../core/units/unitSystem'

const feelers = (what: Thing) =>
  z
    .array(
      z.union(
        [
          z.object({ clock, value: figure(what, 'displacement'), group: z.string().max(40).optional() }),
          z.object({ clock, passes: figure('blade-that-passes', 'displacement') }),
          z.object({ clock, stops: notNegative('blade-that-stops', 'displacement') }),
        ],
        { error: issue('value-or-blade', what) },
      ),
      { error: issue('give-the-readings-as-a-list-3') },
    )
    .min(1, { error: issue('give-at-least-one-reading') })
    .max(400, { error: issue('give-at-most-400-readings') })

const radius = (what: Thing) => positive(what, 'distance')

export const gapStraightedgeInput = z
  .object({
    ...methodFields,
    gaps: z
      .object({
        diameter: positive('diameter-the-gaps-are-read-on', 'distance'),
        readings: feelers('gap'),
      })
      .optional(),
    rises: z
      .object({
        hubRadius: z.object({
          stationary: radius('stationary-hubs-radius'),
          movable: radius('movable-hubs-radius'),
        }),
        readings: feelers('rim-step'),
      })
      .optional(),
  })
  .superRefine((value, context) => {
    if (!value.gaps && !value.rises)
      context.addIssue({
        code: 'custom',
        path: ['gaps'],
        message: issue('give-feeler-gaps-gaps-rim-steps'),
      })
  })

/** The feelers as core takes them. */
export const feelersOf = ({
  gaps,
  rises,
}: Pick<z.infer<typeof gapStraightedgeInput>, 'gaps' | 'rises'>): GapStraightedgeInput => ({
  gaps,
  rises: rises && {
    radiusDifference: rises.hubRadius.movable - rises.hubRadius.stationary,
    readings: rises.readings,
  },
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
  input: gapStraightedgeInput,
  result: methodOut.extend({
    bounds: z.object({ offset: bounds('displacement'), slope: bounds('slope') }),
    judgedBounds: z
      .array(z.union([boundVerdict('displacement'), boundVerdict('slope')]))
      .optional()
      .describe('Only with a tolerance: in when all that the bounds allow is inside.'),
  }),
  compute: (given) => {
    const measured = gapStraightedge(feelersOf(given), trustLimits(given))
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
