import { said } from '../words'
import type { VerdictOrUnknown } from '../../../core/judge/judge'

export const verdicts = { in: 'In band', edge: 'Edge', out: 'Out', unknown: 'Not known' } satisfies Record<
  VerdictOrUnknown,
  string
>

export const verdictsWords = said(verdicts)
