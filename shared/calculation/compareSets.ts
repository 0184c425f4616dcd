import { z } from 'zod'
import { done } from '../../core/outcome'
import { compareMeasurements } from '../../core/trust/compareMeasurements'
import { defineOperation } from './defineOperation'
import { rpm, tolerance, units } from './fields'
import { feetOut, lineOut, out } from './results'
import { settled } from './settled'
import { measuredSet, methodField, methodInput, refineTwoSets } from './twoSets'

const input = z
  .object({
    units,
    operation: methodField,
    first: methodInput,
    second: methodInput,
    tolerance,
    rpm: rpm.optional(),
  })
  .superRefine(refineTwoSets('first', 'second'))

const row = <M extends 'displacement' | 'slope'>(kind: M) =>
  z.object({
    what: z.enum(['position', 'quantity']),
    name: z.string(),
    clock: out().nullable(),
    kind: z.literal(kind),
    difference: out(kind),
    limit: out(kind),
    within: z.boolean(),
  })

/** Whether a second set repeats a first, and both together by least squares. */
export const compareSetsOperation = defineOperation({
  name: 'compare-sets',
  summary:
    'Whether a second set repeats a first, position by position and in offset and slope; both combined.',
  input,
  result: z.object({
    agrees: z.boolean(),
    rows: z.array(z.union([row('displacement'), row('slope')])),
    feet: feetOut.describe('What the two sets would have the feet do differently: shown, not limited.'),
    combined: lineOut.nullable().describe('Both by least squares with separate constants, when they agree.'),
  }),
  compute: (given) => {
    const limits = settled(given.tolerance, given.rpm)
    if (!limits.ok) return limits
    const first = measuredSet(given.operation, given.first, 'first')
    if (!first.ok) return first
    const second = measuredSet(given.operation, given.second, 'second')
    if (!second.ok) return second
    return done(
      compareMeasurements(first.value, second.value, {
        tolerance: limits.value,
        units: given.units,
        graduation: second.value.given.graduation ?? null,
        feet: second.value.given.feet,
      }),
    )
  },
})
