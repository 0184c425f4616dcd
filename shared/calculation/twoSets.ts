import { z } from 'zod'
import { done, refused, refusedBelow, type Outcome } from '../../core/outcome'
import { methodOf, parseMethod, DIAL_METHODS, type ParsedMethod } from '../methods/contracts'
import type { CouplingMeasurement } from '../../core/coupling/dialCircle'
import type { Arranged } from '../../core/methods/method'
import { issue } from '../issue'
import { oneOf, units } from './fields'

/** Fields of an operation that sets two measurements by one method side by side. */
export const methodField = oneOf('method', DIAL_METHODS)
  .optional()
  .describe('Told by the fields when missing.')
export const methodInput = z.looseObject({ units }).describe('Input of any method with dials or heads.')

interface Given {
  readonly units: string
  readonly operation?: string
}
type Sets<K extends string> = Given & Readonly<Record<K, { readonly units: string }>>

/** Refuses sets in other units, of no known method, of two methods, or broken ones, each at its place. */
export const refineTwoSets =
  <K extends string>(first: K, second: K) =>
  (value: Sets<K>, context: z.RefinementCtx): void => {
    for (const which of [first, second]) {
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
    const names = [first, second].map((which) => value.operation ?? methodOf(value[which]))
    if (names[0] !== names[1])
      context.addIssue({ code: 'custom', path: [second], message: issue('both-sets-must-be-of-one') })
  }

interface MeasuredSet {
  readonly given: ParsedMethod['given']
  readonly coupling: CouplingMeasurement['coupling']
  readonly arrangement: Arranged['arrangement']
}

/** One of the two sets measured; refusals lie below its name. */
export const measuredSet = (
  operation: string | undefined,
  raw: unknown,
  which: string,
): Outcome<MeasuredSet> => {
  const parsed = parseMethod(operation ?? methodOf(raw) ?? '', raw)
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
}
