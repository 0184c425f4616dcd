import type { Misalignment, Plane } from '../frame/planes'
import { judge, marginIn, termValue } from './judge'
import { judgedQuantities } from './quantities'
import type { SettledTolerance } from './tolerance'

/** `in` when all that is judged in a plane is known and within; `unknown` when something of it is not known; null when nothing is judged there. */
export type PlaneVerdict = 'in' | 'out' | 'unknown' | null

/**
 * What a tolerance says of each plane by itself. A vector that is out is laid to the plane that holds the
 * larger part of it (both when they are alike), and to any plane that breaks the limit alone: one of
 * them has to move.
 */
export const planeVerdicts = (
  line: Misalignment,
  tolerance: SettledTolerance,
  target: Misalignment,
): Readonly<Record<Plane, PlaneVerdict>> => {
  const { quantities } = judge(line, tolerance, target)
  const found: Record<Plane, PlaneVerdict>[] = judgedQuantities(tolerance).map((quantity, i) => {
    const out = quantities[i]?.verdict === 'out'
    const values = quantity.terms.map((t) => termValue(t, line, target))
    const most = Math.max(...values.map((x) => Math.abs(x ?? 0)))
    const says = (plane: Plane): PlaneVerdict => {
      const at = quantity.terms.findIndex((t) => t.plane === plane)
      const term = quantity.terms[at]
      const value = values[at]
      if (!term || (term.band[0] === null && term.band[1] === null)) return null
      if (value === null || value === undefined) return 'unknown'
      if (quantity.terms.length === 1) return out ? 'out' : 'in'
      const alone = marginIn(value, term.band) < 0
      return out && (alone || Math.abs(value) >= most * (1 - 1e-9)) ? 'out' : 'in'
    }
    return { v: says('v'), h: says('h') }
  })
  const worst = (plane: Plane): PlaneVerdict => {
    const all = found.map((f) => f[plane])
    return (['out', 'unknown', 'in'] as const).find((v) => all.includes(v)) ?? null
  }
  return { v: worst('v'), h: worst('h') }
}
