import type { z } from 'zod'
import { refused, type Refusal } from '../../core/outcome'
import { refusalSentence } from '../wording/refusals'
import { issuesOf } from './issues'
import type { CalculationAnswer, Compute, Operation } from './operation'

const refusalAnswer = (refusals: readonly Refusal[]): CalculationAnswer => {
  const issues = refusals.map((r) => ({ path: r.path.join('.'), message: refusalSentence(r) }))
  return { ok: false, error: { code: 'refused', message: issues[0]?.message ?? '', issues } }
}

const isFiniteThroughout = (value: unknown): boolean => {
  if (typeof value === 'number') return Number.isFinite(value)
  if (value && typeof value === 'object') return Object.values(value).every(isFiniteThroughout)
  return true
}

/** Binds a schema to a computation; what comes out is checked to hold no NaN and no infinity. */
export const defineOperation = <T>(definition: {
  readonly name: string
  readonly summary: string
  readonly input: z.ZodType<T>
  readonly compute: Compute<T>
}): Operation => ({
  name: definition.name,
  summary: definition.summary,
  input: definition.input,
  run: (raw) => {
    const parsed = definition.input.safeParse(raw)
    if (!parsed.success) {
      const issues = issuesOf(parsed.error)
      return {
        ok: false,
        error: { code: 'bad-input', message: issues[0]?.message ?? 'The input does not fit.', issues },
      }
    }
    const outcome = definition.compute(parsed.data)
    if (!outcome.ok) return refusalAnswer(outcome.refusals)
    if (!isFiniteThroughout(outcome.value)) {
      const overflow = refused('beyond-double-range', [])
      return refusalAnswer(overflow.ok ? [] : overflow.refusals)
    }
    return { ok: true, result: outcome.value }
  },
})
