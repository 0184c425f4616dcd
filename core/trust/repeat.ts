import { clockDistance, DISTINCT_DEGREES } from '../frame/clock'
import { fitHarmonic, type Reading } from '../fit/harmonicFit'
import { remember } from '../logbook/remember'
import type { Degrees, Millimetres, UnitSystem } from '../units/unitSystem'

/** 1 mil, or 0.02 mm for metric dials. */
export const REPEAT_ROUND: Readonly<Record<UnitSystem, Millimetres>> = {
  inch: 0.0254,
  metric: 0.02,
}

/** The larger of 1 mil (0.02 mm) and two graduations, millimetres (docs/methods/compare-sets.md). */
export const repeatLimit = (units: UnitSystem, graduation: Millimetres | null): Millimetres =>
  Math.max(REPEAT_ROUND[units], 2 * (graduation ?? 0))

export interface RepeatDifference {
  readonly clock: Degrees
  readonly group: string
  /** Second less first, each less its own fitted constant. */
  readonly difference: Millimetres
}

/** Readings are compared with every other set of a round: each is fitted once. */
const fitOnce = remember((readings: readonly Reading[]) => fitHarmonic(readings))

/**
 * Compares two sets of one dial at the positions they share, after removing each set's fitted
 * constant. Positions that only one set has are left out; empty when nothing can be compared.
 */
export const repeatDifferences = (
  first: readonly Reading[],
  second: readonly Reading[],
): readonly RepeatDifference[] => {
  const a = fitOnce(first)
  const b = fitOnce(second)
  if (!a.ok || !b.ok) return []
  const rows: RepeatDifference[] = []
  for (const r of second) {
    const group = r.group ?? ''
    const twin = first.find(
      (f) => (f.group ?? '') === group && clockDistance(f.clock, r.clock) < DISTINCT_DEGREES,
    )
    if (!twin) continue
    const ca = a.value.constants[group] ?? 0
    const cb = b.value.constants[group] ?? 0
    rows.push({ clock: r.clock, group, difference: r.value - cb - (twin.value - ca) })
  }
  return rows
}
