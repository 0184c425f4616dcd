import { issue } from '../issue'
import { z } from 'zod'
import { refused, refusedBelow, done } from '../../core/outcome'
import { compareMeasurements } from '../../core/trust/compareMeasurements'
import { defineOperation } from './defineOperation'
import { DIAL_METHODS, methodOf, parseMethod } from '../methods/contracts'
import { oneOf, rpm, tolerance, units } from './fields'
import { feetOut, lineOut, out } from './results'
import { settled } from './settled'

const input = z
  .object({
    units,
    operation: oneOf('method', DIAL_METHODS).optional().describe('Told by the fields when missing.'),
    first: z.looseObject({ units }).describe('Input of any method with dials or heads.'),
    second: z.looseObject({ units }),
    tolerance,
    rpm: rpm.optional(),
  })
  .superRefine((value, context) => {
    for (const which of ['first', 'second'] as const) {
      const raw = value[which]
      if (raw.units !== value.units)
        context.addIssue({
          code: 'custom',
          path: [which, 'units'],
          message: issue('give-both-sets-in-the-same'),
        })
      const name = value.operation ?? methodOf(raw)
      const parsed = name ? parseMethod(name, raw) : null
      if (parsed?.ok) continue
      for (const found of parsed?.issues ?? [
        { path: '', message: issue('name-the-method-these-fields-fit') },
      ])
        context.addIssue({
          code: 'custom',
          path: [which, ...found.path.split('.').filter((p) => p !== '')],
          message: found.message,
        })
    }
    const names = [value.first, value.second].map((raw) => value.operation ?? methodOf(raw))
    if (names[0] !== names[1])
      context.addIssue({ code: 'custom', path: ['second'], message: issue('both-sets-must-be-of-one') })
  })

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
    const parts = (['first', 'second'] as const).map((which) => {
      const parsed = parseMethod(given.operation ?? methodOf(given[which]) ?? '', given[which])
      if (!parsed.ok) return refused('unknown-method', [which])
      const measured = parsed.method.measure()
      if (!measured.ok) return refusedBelow([which], measured.refusals)
      const arranged = parsed.method.arrange()
      if (!arranged.ok) return refusedBelow([which], arranged.refusals)
      return done({
        given: parsed.method.given,
        coupling: measured.value.coupling,
        arrangement: arranged.value.arrangement,
      })
    })
    const [first, second] = parts
    if (!first?.ok) return first ?? refused('unknown-method', ['first'])
    if (!second?.ok) return second ?? refused('unknown-method', ['second'])
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
