import { surround, type FlangeBolt } from '../../core/flange/flangeShims'
import type { Misalignment } from '../../core/frame/planes'
import { toCore, type Millimetres, type UnitSystem } from '../../core/units/unitSystem'

/** What the flange sum is asked, as far as its drawing needs it; contract units. */
export interface FlangeAsked {
  readonly bolts?: readonly { readonly id?: unknown; readonly clock?: unknown; readonly radius?: unknown }[]
}
/** What it answers, as far as its drawing needs it. */
export interface FlangeAnswered {
  readonly coupling: Misalignment
  readonly parallelAfter: { readonly v: number | null; readonly h: number | null }
  readonly shims: readonly { readonly id: string; readonly thickness: number }[]
}

/** The flange of a sum in millimetres: bolts, what goes in under each, how it leans, and what stays. */
export interface FlangeFollows {
  readonly bolts: readonly FlangeBolt[]
  readonly added: readonly Millimetres[]
  readonly coupling: Misalignment
  readonly stays: { readonly v: Millimetres | null; readonly h: Millimetres | null }
}

/** What a flange sum draws; null where its bolts can't be told from the form. */
export const flangeFollows = (
  asked: FlangeAsked,
  answered: FlangeAnswered,
  units: UnitSystem,
): FlangeFollows | null => {
  const bolts = (asked.bolts ?? []).flatMap(({ id, clock, radius }): readonly FlangeBolt[] =>
    typeof id === 'string' && typeof clock === 'number' && typeof radius === 'number'
      ? [{ id, clock, radius: toCore(radius, 'distance', units) }]
      : [],
  )
  if (bolts.length < 3 || !surround(bolts)) return null
  const small = (x: number | null) => (x === null ? null : toCore(x, 'displacement', units))
  const slope = (x: number | null) => (x === null ? null : toCore(x, 'slope', units))
  const { coupling, parallelAfter, shims } = answered
  return {
    bolts,
    added: bolts.map((b) => small(shims.find((s) => s.id === b.id)?.thickness ?? 0) ?? 0),
    coupling: {
      offset: { v: small(coupling.offset.v), h: small(coupling.offset.h) },
      slope: { v: slope(coupling.slope.v), h: slope(coupling.slope.h) },
    },
    stays: { v: small(parallelAfter.v), h: small(parallelAfter.h) },
  }
}
