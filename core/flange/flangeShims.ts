import { clockDistance, clockVector } from '../frame/clock'
import { done, refused, type Outcome } from '../outcome'
import type { Degrees, Millimetres } from '../units/unitSystem'

export interface FlangeBolt {
  readonly id: string
  readonly clock: Degrees
  readonly radius: Millimetres
  /** Pack under it now. */
  readonly existing?: Millimetres
}

/** coplanar: shim tops lie in one plane. pairwise: each opposite pair has its own zero. */
export type FlangeSchool = 'coplanar' | 'pairwise'

export interface FlangeShimsInput {
  /** Tilt and parallel error from the target, all known. */
  readonly slope: { readonly v: number; readonly h: number }
  readonly bolts: readonly FlangeBolt[]
  readonly school: FlangeSchool
  /** Smallest difference of shim there is; 0 leaves the thicknesses exact. */
  readonly step: Millimetres
}

export interface FlangeShimsResult {
  /** Thickness to add under each bolt, the smallest of a school's group 0. */
  readonly shims: readonly {
    readonly id: string
    readonly thickness: Millimetres
    readonly pack: Millimetres
  }[]
  /** Largest less smallest sum of an opposite pair, on the rounded shims; null without opposite pairs. */
  readonly rock: Millimetres | null
}

const opposite = (a: FlangeBolt, b: FlangeBolt) =>
  Math.abs(clockDistance(a.clock, b.clock) - 180) <= 1 && Math.abs(a.radius - b.radius) < 1e-6

/** Partner of each bolt across the circle, -1 where there is none. */
export const partners = (bolts: readonly FlangeBolt[]): readonly number[] =>
  bolts.map((bolt) => bolts.findIndex((other) => other !== bolt && opposite(bolt, other)))

/** True when the bolts stand round the circle, not in a row. */
export const surround = (bolts: readonly FlangeBolt[]): boolean => {
  const points = bolts.map((b) => {
    const [c, s] = clockVector(b.clock)
    return [b.radius * c, b.radius * s] as const
  })
  const [first, ...rest] = points
  if (!first) return false
  return rest.some((p) =>
    rest.some(
      (q) =>
        Math.abs((p[0] - first[0]) * (q[1] - first[1]) - (p[1] - first[1]) * (q[0] - first[0])) >
        1e-6 * Math.max(...bolts.map((b) => b.radius)) ** 2,
    ),
  )
}

/**
 * What would take the tilt out exactly, above what lies there: the smallest 0, over all bolts or in each opposite pair. The
 * pairwise school wants every bolt to have its partner. Millimetres.
 */
export const exactShims = (
  bolts: readonly FlangeBolt[],
  slope: FlangeShimsInput['slope'],
  school: FlangeSchool,
): readonly Millimetres[] => {
  const partner = partners(bolts)
  const raw = bolts.map((b) => {
    const [c, s] = clockVector(b.clock)
    return b.radius * (slope.v * c + slope.h * s)
  })
  const lowest = Math.min(...raw)
  return raw.map((h, i) =>
    school === 'coplanar' ? h - lowest : h - Math.min(h, raw[partner[i] as number] as number),
  )
}

/** Whether every bolt has one opposite it at the same distance: what the pairwise school goes by. */
export const allPaired = (bolts: readonly FlangeBolt[]): boolean => partners(bolts).every((p) => p >= 0)

/**
 * Axial shims under the flange bolts that take the tilt out: `h_i = R_i * slope . u(theta_i) + h0`,
 * h0 so that the smallest is 0. Millimetres. Refuses bolts in a row, and the pairwise school
 * without equal opposite pairs. Source: docs/methods/vertical-flange.md.
 */
export const flangeShims = (input: FlangeShimsInput): Outcome<FlangeShimsResult> => {
  const { bolts, slope, school, step } = input
  if (!surround(bolts)) return refused('bolts-on-a-line', ['bolts'])
  const partner = partners(bolts)
  if (school === 'pairwise' && partner.some((p) => p < 0)) return refused('bolts-not-paired', ['bolts'])
  const exact = exactShims(bolts, slope, school)
  const thickness = exact.map((t) => (step > 0 ? Math.round(t / step) * step : t))
  const sums = bolts.flatMap((_, i) => {
    const p = partner[i] as number
    return p > i ? [(thickness[i] as number) + (thickness[p] as number)] : []
  })
  return done({
    shims: bolts.map((b, i) => ({
      id: b.id,
      thickness: thickness[i] as number,
      pack: (b.existing ?? 0) + (thickness[i] as number),
    })),
    rock: sums.length > 0 ? Math.max(...sums) - Math.min(...sums) : null,
  })
}

/** Which way and how far the flange moves sideways to bring `parallel` to zero: the clock it goes toward. */
export const sidewaysMove = (parallel: {
  readonly v: number
  readonly h: number
}): { readonly v: number; readonly h: number; readonly distance: Millimetres; readonly toward: Degrees } => {
  const v = parallel.v === 0 ? 0 : -parallel.v
  const h = parallel.h === 0 ? 0 : -parallel.h
  const angle = (Math.atan2(h, v) * 180) / Math.PI
  return { v, h, distance: Math.hypot(v, h), toward: angle < 0 ? angle + 360 : angle }
}
