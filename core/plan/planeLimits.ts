import type { Misalignment, Plane } from '../frame/planes'
import { marginIn, termValue } from '../judge/judge'
import { judgedQuantities } from '../judge/quantities'
import type { Band, SettledTolerance } from '../judge/tolerance'

/** One judged value of a plane as a straight form of offset and slope. */
export interface LimitForm {
  readonly offsetFactor: number
  readonly slopeFactor: number
  /** Subtracted from the form: what the target makes of it, 0 for windows. */
  readonly shift: number
  readonly band: Band
  /** Vector mode: how far the same quantity stands off in the other plane; it uses part of the limit. */
  readonly across: number
}

/**
 * What a tolerance judges in one plane. In vector mode the other plane uses part of each limit: `other` is
 * where the line stands there, aligned when missing.
 */
export const limitForms = (
  tolerance: SettledTolerance,
  target: Misalignment,
  plane: Plane,
  other: Misalignment | null = null,
): readonly LimitForm[] =>
  judgedQuantities(tolerance).flatMap((q) =>
    q.terms
      .filter((t) => t.plane === plane)
      .map((t) => ({
        across:
          other && q.terms.length > 1
            ? Math.hypot(...q.terms.filter((o) => o !== t).map((o) => termValue(o, other, target) ?? 0))
            : 0,
        offsetFactor: t.offsetFactor,
        slopeFactor: t.slopeFactor,
        shift: t.fromTarget
          ? t.offsetFactor * (target.offset[plane] ?? 0) + t.slopeFactor * (target.slope[plane] ?? 0)
          : 0,
        band: t.band,
      })),
  )

/** Share of the limit one value uses: 0 in the middle of its band, 1 on the limit. */
const shareOfValue = (value: number, [low, high]: Band): number => {
  if (low !== null && high !== null && high > low) {
    const half = (high - low) / 2
    return Math.abs(value - (low + high) / 2) / half
  }
  return Math.max(0, 1 - marginIn(value, [low, high]))
}

/** Worst share of a limit in one plane at this offset and slope. */
export const shareAt = (forms: readonly LimitForm[], offset: number, slope: number): number => {
  let most = 0
  for (const f of forms) {
    const value = f.offsetFactor * offset + f.slopeFactor * slope - f.shift
    const share = shareOfValue(f.across === 0 ? value : Math.hypot(value, f.across), f.band)
    if (share > most) most = share
  }
  return most
}

/** The least share that a form can come to: what the other plane uses alone. */
export const leastShare = ({ across, band: [, high] }: LimitForm): number =>
  across === 0 || high === null ? 0 : across / high

/** Values of a form whose share is at most `share`; infinite ends where nothing bounds it. */
export const levelInterval = (
  { band: [low, high], across }: Pick<LimitForm, 'band' | 'across'>,
  share: number,
): readonly [number, number] => {
  if (low !== null && high !== null) {
    const middle = (low + high) / 2
    const whole = (share * (high - low)) / 2
    const reach = across === 0 ? whole : Math.sqrt(Math.max(0, whole * whole - across * across))
    return high > low ? [middle - reach, middle + reach] : share >= 2 ? [-Infinity, Infinity] : [low, low]
  }
  const bound = low ?? high
  if (bound === null) return [-Infinity, Infinity]
  if (bound === 0) {
    // On the bound the share is 1, clear of it 0, beyond it 2: there is nothing in between.
    if (share >= 2) return [-Infinity, Infinity]
    return low !== null ? [0, Infinity] : [-Infinity, 0]
  }
  const clear = (1 - share) * Math.abs(bound)
  return low !== null ? [bound + clear, Infinity] : [-Infinity, bound - clear]
}
