import type { Millimetres, Slope } from '../units/unitSystem'

/** A quantity in the two measuring planes: v up, h toward 3 o'clock. Null is unknown, never zero. */
export interface VH {
  readonly v: number | null
  readonly h: number | null
}

export type Plane = 'v' | 'h'
export const PLANES: readonly Plane[] = ['v', 'h']

/**
 * The movable axis relative to the stationary one, `d(x) = offset + slope * x`:
 * offset in millimetres at the coupling centre, slope in mm/mm (docs/frame-and-signs.md).
 */
export interface Misalignment {
  readonly offset: VH
  readonly slope: VH
}

export const ALIGNED: Misalignment = { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } }

/** Builds a VH by asking once per plane. */
export const eachPlane = (f: (plane: Plane) => number | null): VH => ({ v: f('v'), h: f('h') })

/** a + b, or null as soon as one is unknown. */
export const plus = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? null : a + b

/** a - b, or null as soon as one is unknown. */
export const minus = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? null : a - b

/** Where the line stands at x: `offset + slope * x` in both planes, null where unknown. */
export const positionAt = (line: Misalignment, x: Millimetres): VH =>
  eachPlane((p) => {
    const offset = line.offset[p]
    const slope = line.slope[p]
    return offset === null || slope === null ? null : offset + slope * x
  })

/** The first line less the second, plane by plane. */
export const lineDifference = (a: Misalignment, b: Misalignment): Misalignment => ({
  offset: eachPlane((p) => minus(a.offset[p], b.offset[p])),
  slope: eachPlane((p) => minus(a.slope[p], b.slope[p])),
})

/** The two lines added, plane by plane. */
export const lineSum = (a: Misalignment, b: Misalignment): Misalignment => ({
  offset: eachPlane((p) => plus(a.offset[p], b.offset[p])),
  slope: eachPlane((p) => plus(a.slope[p], b.slope[p])),
})

/** Least-squares straight line through points, one plane. Needs two different x. */
export const fitLine = (
  points: readonly { readonly x: Millimetres; readonly y: number }[],
): { offset: Millimetres; slope: Slope } => {
  const n = points.length
  const meanX = points.reduce((s, p) => s + p.x, 0) / n
  const meanY = points.reduce((s, p) => s + p.y, 0) / n
  let sxx = 0
  let sxy = 0
  for (const p of points) {
    sxx += (p.x - meanX) ** 2
    sxy += (p.x - meanX) * (p.y - meanY)
  }
  const slope = sxy / sxx
  return { offset: meanY - slope * meanX, slope }
}

/** A line from its four numbers: offset V, offset H, slope V, slope H. */
export const lineOfNumbers = ([ov = 0, oh = 0, sv = 0, sh = 0]: Float64Array): Misalignment => ({
  offset: { v: ov, h: oh },
  slope: { v: sv, h: sh },
})
