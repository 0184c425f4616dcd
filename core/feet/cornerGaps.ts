import type { Millimetres, Slope } from '../units/unitSystem'

/** Feeler gaps at a foot's four corners. Outer is the side away from the machine's middle. */
export interface CornerGaps {
  readonly outboardOuter: Millimetres
  readonly outboardInner: Millimetres
  readonly inboardOuter: Millimetres
  readonly inboardInner: Millimetres
}

export interface FootSize {
  /** Along the shaft. */
  readonly along: Millimetres
  /** Across it, from the inner to the outer edge. */
  readonly across: Millimetres
}

export interface CornerPlane {
  /** Mean gap. */
  readonly mean: Millimetres
  /** Gap growing toward the outboard edge, mm/mm. */
  readonly slopeAlong: Slope
  /** Gap growing toward the outer edge, mm/mm. */
  readonly slopeAcross: Slope
  /** How far the corners are from one plane: what is left over, millimetres. */
  readonly warp: Millimetres
}

/** Least-squares plane through the four corner gaps. */
export const fitCorners = (g: CornerGaps, size: FootSize): CornerPlane => ({
  mean: (g.outboardOuter + g.outboardInner + g.inboardOuter + g.inboardInner) / 4,
  slopeAlong: (g.outboardOuter + g.outboardInner - g.inboardOuter - g.inboardInner) / (2 * size.along),
  slopeAcross: (g.outboardOuter + g.inboardOuter - g.outboardInner - g.inboardInner) / (2 * size.across),
  warp: Math.abs(g.outboardOuter - g.outboardInner - g.inboardOuter + g.inboardInner) / 4,
})
