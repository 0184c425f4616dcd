import type { Celsius } from '../units/unitSystem'

/** Seconds over which a temperature is looked at. */
const OVER = 60
/** It has settled once it changes by less than this in a minute. */
const STEADY: Celsius = 0.3

/** How a temperature goes, degrees a minute; null until it was seen for half of that. */
export const perMinute = (
  samples: readonly { readonly at: number; readonly value: Celsius | null }[],
): number | null => {
  const seen = samples.filter((s): s is { at: number; value: number } => s.value !== null)
  const last = seen[seen.length - 1]
  if (!last) return null
  const lately = seen.filter((s) => s.at >= last.at - OVER)
  const first = lately[0]
  if (!first || last.at - first.at < OVER / 2) return null
  const n = lately.length
  const mean = lately.reduce((m, s) => m + s.at, 0) / n
  const middle = lately.reduce((m, s) => m + s.value, 0) / n
  const spread = lately.reduce((m, s) => m + (s.at - mean) ** 2, 0)
  return spread === 0
    ? null
    : (60 * lately.reduce((m, s) => m + (s.at - mean) * (s.value - middle), 0)) / spread
}

/** Whether a temperature stands. */
export const hasSettled = (rate: number | null): boolean => rate !== null && Math.abs(rate) < STEADY
