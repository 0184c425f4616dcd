import type { Band } from '../../core/judge/tolerance'
import type { Millimetres, Slope } from '../../core/units/unitSystem'

/** One plane of a motor beside its drum: how far off it stands at the rim dial, and its slope. */
export interface PlaneLine {
  readonly offset: Millimetres
  readonly slope: Slope
}

/** Sheet of the motor seen from the side or from above, in drawing units. */
export const TRAM_SHEET = {
  width: 300,
  height: 300,
  axis: 128,
  drum: 44,
  near: 132,
  far: 262,
  room: 40,
} as const

/** Steepest an axis is drawn. */
const STEEPEST = 0.32

/** An axis as a straight stroke. */
export interface Stroke {
  readonly x1: number
  readonly y1: number
  readonly x2: number
  readonly y2: number
}

export interface DrawnTram {
  /** How many times a step is drawn larger than a length along the shaft. */
  readonly times: number
  readonly now: Stroke | null
  readonly after: Stroke | null
  /** Where the motor's middle stands, and how it leans, degrees clockwise. */
  readonly motor: { readonly x: number; readonly y: number; readonly lean: number }
  /** Where its foot pairs stand along the sheet, nearest first. */
  readonly feet: readonly number[]
}

const ROUND = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10000]

/**
 * The motor beside its drum, steps drawn larger by one round figure that is said. `feet` from the rim dial, millimetres; empty
 * where nobody knows: then they are drawn where a motor's feet are.
 */
export const drawTram = (
  now: PlaneLine | null,
  after: PlaneLine | null,
  feet: readonly Millimetres[],
): DrawnTram => {
  const { axis, drum, near, far, room } = TRAM_SHEET
  const reach = feet[feet.length - 1] ?? 600
  const along = (far - drum) / reach
  const lines = [now, after].filter((l) => l !== null)
  const steepest = Math.max(...lines.map((l) => Math.abs(l.slope)), 1e-9)
  const highest = Math.max(
    ...lines.flatMap((l) => [Math.abs(l.offset), Math.abs(l.offset + l.slope * reach)]),
    1e-9,
  )
  const exact = Math.min(STEEPEST / steepest, room / (highest * along))
  const times = ROUND.filter((t) => t <= exact).pop() ?? 1
  const y = (l: PlaneLine, x: Millimetres) => axis - (l.offset + l.slope * x) * along * times
  const stroke = (l: PlaneLine): Stroke => ({
    x1: drum - 18,
    y1: y(l, -18 / along),
    x2: far + 26,
    y2: y(l, reach + 26 / along),
  })
  const middle = (near + far) / 2
  return {
    times,
    now: now && stroke(now),
    after: after && stroke(after),
    motor: now
      ? {
          x: middle,
          y: y(now, (middle - drum) / along),
          lean: (-Math.atan(now.slope * times) * 180) / Math.PI,
        }
      : { x: middle, y: axis, lean: 0 },
    feet: feet.length > 0 ? feet.map((x) => drum + x * along) : [near + 16, far - 8],
  }
}

/** A band as a scale: where it begins and ends, and where the values stand, as shares of its length from its low end. */
export interface DrawnWindow {
  /** What the ends of the scale stand for. */
  readonly from: number
  readonly to: number
  readonly low: number | null
  readonly high: number | null
  readonly zero: number
  readonly at: (value: number) => number
}

/** A scale wide enough for its band and whatever stands on it; a band that is open on a side runs to the end. */
export const drawWindow = ([low, high]: Band, values: readonly (number | null)[]): DrawnWindow => {
  const known = [...values, low, high, 0].filter((x) => x !== null)
  const [least, most] = [Math.min(...known), Math.max(...known)]
  const margin = 0.22 * Math.max(most - least, 1e-9)
  const [from, to] = [least - margin, most + margin]
  const at = (x: number) => Math.min(1, Math.max(0, (x - from) / (to - from)))
  return {
    from,
    to,
    low: low === null ? null : at(low),
    high: high === null ? null : at(high),
    zero: at(0),
    at,
  }
}
