import { clockDistance } from '../frame/clock'
import type { Degrees } from '../units/unitSystem'

/** One figure of an instrument in core units; null while it has none. `at` in seconds, by one clock. */
export interface Sample {
  readonly at: number
  readonly value: number | null
  /** Where its shaft stands, where it tells that. */
  readonly clock: Degrees | null
}

/** Seconds over which a needle must stand still. */
export const STILL_FOR = 0.9
/** Fewer figures than this in that time say nothing. */
const LEAST = 4
/** A needle that stays within so many graduations stands still. */
const WITHIN_GRADUATIONS = 2.5

export interface Still {
  readonly steady: boolean
  /** The middle of what it showed lately; null while it shows nothing. */
  readonly value: number | null
  /** Where the shaft stood meanwhile. */
  readonly clock: Degrees | null
}

const middle = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b)
  const half = Math.floor(sorted.length / 2)
  const upper = sorted[half] ?? 0
  return sorted.length % 2 === 1 ? upper : ((sorted[half - 1] ?? 0) + upper) / 2
}

/**
 * Whether a needle stands still, and at what. Samples in the order they came; `graduation` in their unit. A gap
 * in them, or a figure missing, is no standing still.
 */
export const stillness = (samples: readonly Sample[], graduation: number): Still => {
  const last = samples[samples.length - 1]
  if (!last || last.value === null) return { steady: false, value: null, clock: last?.clock ?? null }
  const lately = samples.filter((s) => s.at > last.at - STILL_FOR)
  const before = samples.some((s) => s.at <= last.at - STILL_FOR && s.at > last.at - 2 * STILL_FOR)
  const values = lately.flatMap((s) => s.value ?? [])
  const whole = values.length === lately.length && values.length >= LEAST && before
  const range = Math.max(...values) - Math.min(...values)
  const clocks = lately.flatMap((s) => s.clock ?? [])
  const clock = clocks.length === 0 ? null : (clocks[clocks.length - 1] ?? null)
  const stands = clocks.every((c) => clockDistance(c, clock ?? c) < 2)
  return {
    steady: whole && stands && range <= WITHIN_GRADUATIONS * graduation,
    value: middle(values),
    clock,
  }
}
