import { normalClock } from '../frame/clock'
import type { Reading } from '../fit/harmonicFit'
import type { Millimetres, UnitSystem } from '../units/unitSystem'

/** The round figure the trade uses for the sum check: 2 mil, or 0.05 mm for metric dials. */
export const CLOSURE_ROUND: Readonly<Record<UnitSystem, Millimetres>> = {
  inch: 2 * 0.0254,
  metric: 0.05,
}

/**
 * (12 + 6) - (3 + 9) of one zero group that holds exactly those four positions, in the unit of
 * the readings; null when the set has another shape.
 */
export const closureOf = (readings: readonly Reading[]): number | null => {
  if (readings.length !== 4) return null
  if (new Set(readings.map((r) => r.group ?? '')).size !== 1) return null
  const at = new Map(readings.map((r) => [normalClock(r.clock), r.value]))
  const [r12, r3, r6, r9] = [at.get(0), at.get(90), at.get(180), at.get(270)]
  if (r12 === undefined || r3 === undefined || r6 === undefined || r9 === undefined) return null
  return r12 + r6 - (r3 + r9)
}

/** max(2 graduations, min(2 mil or 0.05 mm, offset limit)), millimetres (docs/studies/trust.md). */
export const closureLimit = (
  units: UnitSystem,
  graduation: Millimetres | null,
  offsetLimit: Millimetres | null,
): Millimetres =>
  Math.max(2 * (graduation ?? 0), Math.min(CLOSURE_ROUND[units], offsetLimit ?? CLOSURE_ROUND[units]))
