import { clockVector } from '../../core/frame/clock'
import type { Misalignment } from '../../core/frame/planes'
import { flangePlane } from '../../core/flange/flangePlane'
import type { FlangeBolt } from '../../core/flange/flangeShims'
import type { Degrees, Millimetres, Slope } from '../../core/units/unitSystem'

/** Measures of the clock, in units of its board. */
export const FLANGE_CLOCK = { size: 510, middle: 255, rim: 160, circle: 134, hub: 62, shim: 36 } as const
/** How far the thickest shim stands out. */
const TALLEST = 52
/** Room round the offset's ring inside the hub. */
const HUB_ROOM = 42
/** Where the sides are named; with more bolts than this there is no room between their shims. */
const SIDE = 66
const MOST_NAMED = 8

/** One bolt and what stands at it. */
export interface DrawnBolt {
  readonly id: string
  readonly clock: Degrees
  readonly x: number
  readonly y: number
  /** Where its hour is written, inside the circle. */
  readonly name: { readonly x: number; readonly y: number }
  /** How far its shims stand out; 0 where none do. */
  readonly height: number
  /** The leaves, from the rim outward: where each ends. */
  readonly leaves: readonly number[]
  readonly added: Millimetres
  /** Where what is added is written, outside. */
  readonly label: { readonly x: number; readonly y: number }
}

interface Point {
  readonly x: number
  readonly y: number
}

/** A flange seen from above: bolts, shims standing radially, the plane of their tops, the lean and the offset. */
export interface FlangeDrawing {
  readonly bolts: readonly DrawnBolt[]
  /** Board units a millimetre of shim. */
  readonly scale: number
  /** The plane of the tops, dotted; empty where no shim is drawn. */
  readonly tops: string
  /** The axis it leans about, and where it stands high and low; null where it stands square. */
  readonly lean: {
    readonly toward: Degrees
    readonly axis: readonly [number, number, number, number]
    /** Where its sides are named, beside their bolts; null where there is no room. */
    readonly sides: { readonly high: Point; readonly low: Point } | null
  } | null
  /** Where the axis stands at the coupling, drawn in the hub, with the ring of its limit. */
  readonly offset: { readonly x: number; readonly y: number; readonly ring: number | null } | null
}

const { middle, rim, circle } = FLANGE_CLOCK

const at = (clock: Degrees, r: number) => {
  const [up, aside] = clockVector(clock)
  return { x: middle + r * aside, y: middle - r * up }
}
const n = (x: number) => x.toFixed(1)

/** Below this nothing leans. */
const SQUARE = 1e-7

/**
 * Lays a flange out on its clock. `added` is drawn radially at each bolt, `leaves` as it is made up; `limit` is the ring that
 * an offset must stay within. Millimetres.
 */
export const flangeDrawing = (
  bolts: readonly FlangeBolt[],
  added: readonly Millimetres[],
  coupling: Misalignment | null,
  more: {
    readonly leaves?: readonly (readonly Millimetres[])[]
    readonly limit?: Millimetres | null
    /** What its tilt is judged by: it leans to the eye from a fifth of it on. */
    readonly tiltLimit?: Slope | null
    readonly offset?: { readonly v: number | null; readonly h: number | null }
  } = {},
): FlangeDrawing => {
  const most = Math.max(0, ...added.map(Math.abs))
  const scale = most > 0 ? TALLEST / most : 0
  const plane = most > 0 ? flangePlane(bolts, added) : null
  const mean = bolts.reduce((s, b) => s + b.radius, 0) / bolts.length
  const tops = plane
    ? `M${Array.from({ length: 73 }, (_, i) => {
        const [v, h] = clockVector(5 * i)
        const height = plane.centre + mean * (plane.slope.v * v + plane.slope.h * h)
        const p = at(5 * i, rim + scale * height)
        return `${n(p.x)} ${n(p.y)}`
      }).join('L')}`
    : ''
  const { v: sv, h: sh } = coupling?.slope ?? { v: null, h: null }
  const leans = sv !== null && sh !== null && Math.hypot(sv, sh) > Math.max(SQUARE, (more.tiltLimit ?? 0) / 5)
  const toward = leans ? ((Math.atan2(sh, sv) * 180) / Math.PI + 360) % 360 : 0
  const [a, b] = [at(toward + 90, rim + 46), at(toward - 90, rim + 46)]
  /** Half way between two bolts, nearest to an angle. */
  const between = (clock: Degrees) => {
    const step = 360 / bolts.length
    return (Math.floor(clock / step) + 0.5) * step
  }
  const off = more.offset ?? coupling?.offset ?? null
  const limit = more.limit ?? null
  const size = off && off.v !== null && off.h !== null ? Math.hypot(off.v, off.h) : null
  const k = size === null ? 0 : HUB_ROOM / Math.max(1.25 * size, limit ?? 0, 1e-9)
  return {
    bolts: bolts.map((bolt, i): DrawnBolt => {
      const own = added[i] ?? 0
      const height = Math.max(0, own * scale)
      let end = 0
      const place = at(bolt.clock, circle)
      return {
        id: bolt.id,
        clock: bolt.clock,
        ...place,
        name: at(bolt.clock, circle - 34),
        height,
        leaves: (more.leaves?.[i] ?? []).map((t) => (end += t * scale)),
        added: own,
        label: at(bolt.clock, rim + height + 26),
      }
    }),
    scale,
    tops,
    // It leans toward its low side: there the shims go in.
    lean: leans
      ? {
          toward,
          axis: [a.x, a.y, b.x, b.y],
          sides:
            bolts.length > MOST_NAMED
              ? null
              : { high: at(between(toward + 180), rim + SIDE), low: at(between(toward), rim + SIDE) },
        }
      : null,
    offset:
      off && off.v !== null && off.h !== null
        ? { x: middle + k * off.h, y: middle - k * off.v, ring: limit === null ? null : k * limit }
        : null,
  }
}

/**
 * How a lean is drawn from the side: the angle on paper, and how many times the true one that is. One scale for all that
 * is within its limit, so that a motor in band is not drawn as if it fell over.
 */
export const drawnLean = (
  tilt: Slope,
  limit: Slope | null = null,
): { readonly degrees: number; readonly times: number } => {
  const steepest = Math.max(tilt, limit ?? 0)
  if (steepest < SQUARE) return { degrees: 0, times: 1 }
  const steps = [10, 20, 50, 100, 200, 400, 500, 1000, 2000, 5000]
  const times = [...steps].reverse().find((s) => steepest * s <= 0.22) ?? 10
  return { degrees: (Math.atan(tilt * times) * 180) / Math.PI, times }
}
