import type { z } from 'zod'
import { refused, type Outcome, type Refusal } from '../../core/outcome'
import type { UnitSystem } from '../../core/units/unitSystem'
import { refusalSentence } from '../wording/refusals'
import { issuesOf } from './issues'
import type { CalculationAnswer, Operation } from './operation'
import { inputToCore, resultFromCore } from './unitConversion'

const refusalAnswer = (refusals: readonly Refusal[]): CalculationAnswer => {
  const issues = refusals.map((r) => ({ path: r.path.join('.'), message: refusalSentence(r) }))
  return { ok: false, error: { code: 'refused', message: issues[0]?.message ?? '', issues } }
}

const isFiniteThroughout = (value: unknown): boolean => {
  if (typeof value === 'number') return Number.isFinite(value)
  if (value && typeof value === 'object') return Object.values(value).every(isFiniteThroughout)
  return true
}

/** A result as core gives it: the schema's shape, read-only all the way down. */
export type Given<T> = T extends object ? { readonly [K in keyof T]: Given<T[K]> } : T

interface Definition<I extends { readonly units: UnitSystem }, R> {
  readonly name: string
  readonly summary: string
  readonly input: z.ZodType<I>
  readonly result: z.ZodType<R>
  /** Gets the input in core units and answers in core units; `units` stays what the record uses. */
  readonly compute: (input: I) => Outcome<Given<R>> | Promise<Outcome<Given<R>>>
}

/**
 * Binds two schemas to a computation: parses, converts to core units, computes, converts back.
 * What comes out is checked to hold no NaN and no infinity.
 */
export const defineOperation = <I extends { readonly units: UnitSystem }, R>(
  definition: Definition<I, R>,
): Operation => ({
  name: definition.name,
  summary: definition.summary,
  input: definition.input,
  result: definition.result,
  run: async (raw) => {
    const parsed = definition.input.safeParse(raw)
    if (!parsed.success) {
      const issues = issuesOf(parsed.error)
      return {
        ok: false,
        error: { code: 'bad-input', message: issues[0]?.message ?? 'The input does not fit.', issues },
      }
    }
    const { units } = parsed.data
    const outcome = await definition.compute(inputToCore(definition.input, parsed.data, units))
    if (!outcome.ok) return refusalAnswer(outcome.refusals)
    const result = resultFromCore(definition.result, outcome.value, units)
    if (!isFiniteThroughout(result)) {
      const overflow = refused('beyond-double-range', [])
      return refusalAnswer(overflow.ok ? [] : overflow.refusals)
    }
    return { ok: true, result }
  },
})
