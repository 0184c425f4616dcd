import { ALIGNED, type Misalignment } from '../frame/planes'
import { judgedQuantities, type JudgedQuantity, type JudgedTerm } from './quantities'
import type { Band, SettledTolerance } from './tolerance'

export type Verdict = 'in' | 'edge' | 'out'
export type VerdictOrUnknown = Verdict | 'unknown'

/** From this margin on a value is called in band; between 0 and it, on the edge. */
export const EDGE_MARGIN = 0.2
/** Half-width of a 95 % interval in standard deviations. */
const NINETY_FIVE = 1.959963984540054
const ROUNDING = 1e-12

export interface JudgedValue {
  readonly name: string
  readonly kind: 'displacement' | 'slope'
  /** From the target; where the band is absolute, as it stands. */
  readonly value: number | null
  /** Where the target itself stands in this quantity; of a size, how far off it stands. Null where it is unknown. */
  readonly aim: number | null
  readonly low: number | null
  readonly high: number | null
  /** 1 in the middle of the band, 0 on its limit, below 0 outside. */
  readonly margin: number | null
  readonly verdict: VerdictOrUnknown
}

export interface Judgement {
  readonly verdict: VerdictOrUnknown
  /** Name of the quantity with the least margin; null when nothing is known. */
  readonly worst: string | null
  readonly quantities: readonly JudgedValue[]
}

/** The verdict of several taken together: one that is out, or not known, speaks for all. */
export const worstVerdict = (verdicts: readonly VerdictOrUnknown[]): VerdictOrUnknown =>
  (['out', 'unknown', 'edge', 'in'] as const).find((v) => verdicts.includes(v)) ?? 'unknown'

/** How well inside its band a value lies (docs/methods/judge.md). */
export const marginIn = (value: number, [low, high]: Band): number => {
  if (low !== null && high !== null)
    return high > low ? Math.min(high - value, value - low) / ((high - low) / 2) : value === low ? 0 : -1
  const bound = low ?? high
  if (bound === null) return 1
  const clear = low !== null ? value - bound : bound - value
  return bound === 0 ? Math.sign(clear) : clear / Math.abs(bound)
}

/** The verdict a margin alone gives: in from 0.2, edge down to 0, out below. */
export const verdictOfMargin = (margin: number): Verdict =>
  margin < 0 ? 'out' : margin < EDGE_MARGIN ? 'edge' : 'in'

/** Value of one term, from the target unless its band is absolute; null when unknown. */
export const termValue = (term: JudgedTerm, line: Misalignment, target: Misalignment): number | null => {
  const { plane, fromTarget } = term
  const offset = apart(term.offsetFactor, line.offset[plane], fromTarget ? target.offset[plane] : 0)
  const slope = apart(term.slopeFactor, line.slope[plane], fromTarget ? target.slope[plane] : 0)
  return offset === null || slope === null ? null : offset + slope
}

/** So many times a value less what is wanted; a value that doesn't count need not be known. */
const apart = (factor: number, found: number | null, wanted: number | null): number | null =>
  factor === 0 ? 0 : found === null || wanted === null ? null : factor * (found - wanted)

const variance = (term: JudgedTerm, sd: Misalignment): number =>
  (term.offsetFactor * (sd.offset[term.plane] ?? 0)) ** 2 +
  (term.slopeFactor * (sd.slope[term.plane] ?? 0)) ** 2

const verdictOf = (margin: number, value: number, band: Band, sd: number): Verdict => {
  if (margin < -ROUNDING) return 'out'
  const reach = NINETY_FIVE * sd
  const crosses = band.some((bound) => bound !== null && Math.abs(value - bound) < reach)
  return margin < EDGE_MARGIN - ROUNDING || crosses ? 'edge' : 'in'
}

const judgeQuantity = (
  quantity: JudgedQuantity,
  line: Misalignment,
  target: Misalignment,
  sd: Misalignment | null,
): JudgedValue => {
  const [first] = quantity.terms as [JudgedTerm]
  const values = quantity.terms.map((t) => termValue(t, line, target))
  const vector = quantity.terms.length > 1
  const band: Band = vector ? [null, first.band[1]] : first.band
  const aims = quantity.terms.map((t) => (t.fromTarget ? termValue(t, target, ALIGNED) : 0))
  const aim = aims.some((a) => a === null)
    ? null
    : vector
      ? Math.hypot(...(aims as number[]))
      : (aims[0] as number)
  const shown = { name: quantity.name, kind: first.kind, aim, low: vector ? 0 : band[0], high: band[1] }
  if (values.some((v) => v === null)) return { ...shown, value: null, margin: null, verdict: 'unknown' }
  const known = values as number[]
  const value = vector ? Math.hypot(...known) : (known[0] as number)
  // The length of a vector varies with the spread along it; across it only in second order.
  const spread = !sd
    ? 0
    : vector && value > 0
      ? Math.sqrt(
          quantity.terms.reduce((s, t, i) => s + ((known[i] as number) / value) ** 2 * variance(t, sd), 0),
        )
      : Math.sqrt(variance(first, sd))
  const margin = marginIn(value, band)
  return { ...shown, value, margin, verdict: verdictOf(margin, value, band, spread) }
}

/**
 * Judges a misalignment against a settled tolerance. A value beyond its limit is always `out`;
 * one inside is `edge` when its margin is under 0.2 or, with `sd`, when its 95 % interval crosses
 * a limit. Unknown quantities stay unknown and keep the whole from being called in band.
 */
export const judge = (
  line: Misalignment,
  tolerance: SettledTolerance,
  target: Misalignment = ALIGNED,
  sd: Misalignment | null = null,
): Judgement => {
  const quantities = judgedQuantities(tolerance).map((q) => judgeQuantity(q, line, target, sd))
  const known = quantities.filter((q) => q.margin !== null)
  const worst = known.reduce<JudgedValue | null>(
    (least, q) => (least === null || (q.margin as number) < (least.margin as number) ? q : least),
    null,
  )
  const verdict = worstVerdict(quantities.map((q) => q.verdict))
  return { verdict, worst: worst?.name ?? null, quantities }
}

/** Worst share of a limit in one plane, 0 at the middle of the band and 1 on its limit. */
export const planeShare = (
  line: Misalignment,
  tolerance: SettledTolerance,
  target: Misalignment,
  plane: 'v' | 'h',
): number =>
  judgedQuantities(tolerance)
    .flatMap((q) => q.terms)
    .filter((t) => t.plane === plane)
    .reduce((most, t) => {
      const value = termValue(t, line, target)
      return value === null ? most : Math.max(most, 1 - marginIn(value, t.band))
    }, 0)
