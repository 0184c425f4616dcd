import { fitHarmonic, type HarmonicFit, type Reading } from '../fit/harmonicFit'
import type { Millimetres } from '../units/unitSystem'

/**
 * Standard deviation of one reading as the fit shows it: sqrt(SS / spare readings), or null when
 * nothing is spare. For four readings at right angles this is |closure| / 2.
 */
export const readingSigma = (fit: HarmonicFit, count: number): number | null =>
  fit.spare < 1 ? null : Math.sqrt((fit.residualRms ** 2 * count) / fit.spare)

/** True when the spare readings agree: sigma at most half of the sum-check limit, its four-clock equal. */
export const fitAgrees = (fit: HarmonicFit, count: number, limit: Millimetres): boolean | null => {
  const sigma = readingSigma(fit, count)
  return sigma === null ? null : sigma <= (limit / 2) * (1 + 1e-9)
}

/**
 * Indexes of the readings that could be the bad one: those without which the rest agrees, or
 * without which nothing can be told any more. One index means the reading is named; several mean
 * that a repeat or two more positions must decide. Empty when the set agrees as it is: `whole` is
 * the fit of all of them.
 */
export const suspectReadings = (
  readings: readonly Reading[],
  whole: HarmonicFit,
  limit: Millimetres,
): readonly number[] => {
  if (fitAgrees(whole, readings.length, limit) !== false) return []
  const suspects: number[] = []
  readings.forEach((_, i) => {
    const rest = readings.filter((_, j) => j !== i)
    const fit = fitHarmonic(rest)
    if (!fit.ok || fitAgrees(fit.value, rest.length, limit) !== false) suspects.push(i)
  })
  return suspects.length > 0 ? suspects : readings.map((_, i) => i)
}
