import { solveLinear } from '../fit/leastSquares'
import type { Millimetres, Slope } from '../units/unitSystem'

/**
 * Shim that levels a machine from a feeler under the level's low end: feeler x bolt spacing /
 * supported length, where the supported length runs from the feeler's edge to the level's other
 * end. Millimetres. Under both feet of the low end. Source: similar triangles.
 */
export const levelShimFromFeeler = (
  feeler: Millimetres,
  boltSpacing: Millimetres,
  supportedLength: Millimetres,
): Millimetres => (feeler * boltSpacing) / supportedLength

/** Shim from divisions off centre and the level's sensitivity (slope per division). */
export const levelShimFromDivisions = (
  divisions: number,
  sensitivity: Slope,
  boltSpacing: Millimetres,
): Millimetres => divisions * sensitivity * boltSpacing

/** Slope of a base from level readings along headings, and the shim that levels it at each corner. */
export interface BaseLevel {
  readonly slopeAlong: Slope
  readonly slopeAcross: Slope
  /** Root mean square of what the plane leaves of the readings. */
  readonly residual: Slope
  readonly shims: readonly { readonly id: string; readonly shim: Millimetres }[]
}

/**
 * A base plate read along headings (degrees from along the shaft, toward 3; rising positive):
 * least-squares plane, then the shim under each corner that brings all to the highest one. Null
 * when the headings can't tell the two slopes apart. Source: docs/methods/level.md.
 */
export const baseLevel = (
  headings: readonly { readonly heading: number; readonly slope: Slope }[],
  corners: readonly { readonly id: string; readonly along: Millimetres; readonly across: Millimetres }[],
): BaseLevel | null => {
  const rows = headings.map(({ heading }) => {
    const angle = (heading * Math.PI) / 180
    return [Math.cos(angle), Math.sin(angle)]
  })
  const solved = solveLinear(
    rows,
    headings.map((h) => h.slope),
  )
  if (!solved) return null
  const [slopeAlong, slopeAcross] = solved as readonly [number, number]
  const squares = headings.reduce((s, h, i) => {
    const [c, d] = rows[i] as [number, number]
    return s + (h.slope - c * slopeAlong - d * slopeAcross) ** 2
  }, 0)
  const heights = corners.map((c) => c.along * slopeAlong + c.across * slopeAcross)
  const highest = Math.max(...heights)
  return {
    slopeAlong,
    slopeAcross,
    residual: Math.sqrt(squares / headings.length),
    shims: corners.map((c, i) => ({ id: c.id, shim: highest - (heights[i] as number) })),
  }
}
