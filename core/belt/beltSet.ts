import type { Newtons } from '../units/unitSystem'
import { judgeTension, type Interval, type JudgedTension } from './tensionBand'

/** Spread over the mean from which a set is unmatched or worn. Editable. */
export const SPREAD_LIMIT = 0.1

export type BeltSetAdvice = 'tighten' | 'slacken' | 'leave' | 'replace-set'

export interface BeltSetResult {
  readonly belts: readonly ({ readonly id: string; readonly tension: Newtons } & JudgedTension)[]
  readonly mean: Newtons
  /** (largest - smallest) / mean. */
  readonly spread: number
  readonly unmatched: boolean
  readonly advice: BeltSetAdvice
}

/**
 * Every belt of a set against the band, and the set as a whole: one that is unmatched is swapped
 * or replaced whole, never pulled up to its tightest belt. Newtons. Source: docs/methods/belt-set.md.
 */
export const judgeBeltSet = (
  tensions: readonly { readonly id: string; readonly tension: Newtons }[],
  band: Interval,
  spreadLimit: number,
): BeltSetResult => {
  const values = tensions.map((t) => t.tension)
  const mean = values.reduce((s, t) => s + t, 0) / values.length
  const spread = mean > 0 ? (Math.max(...values) - Math.min(...values)) / mean : 0
  const unmatched = spread > spreadLimit * (1 + 1e-12)
  const whole = judgeTension(mean, band)
  return {
    belts: tensions.map((t) => ({ ...t, ...judgeTension(t.tension, band) })),
    mean,
    spread,
    unmatched,
    advice: unmatched
      ? 'replace-set'
      : whole.verdict === 'slack'
        ? 'tighten'
        : whole.verdict === 'tight'
          ? 'slacken'
          : 'leave',
  }
}
