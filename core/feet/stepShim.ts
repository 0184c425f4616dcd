import type { Millimetres } from '../units/unitSystem'
import type { CornerGaps, FootSize } from './cornerGaps'

export type OpenEdge = 'outboard' | 'inboard' | 'outer' | 'inner'

export interface StepLeaf {
  readonly thickness: Millimetres
  /** How far it goes in from the open edge. */
  readonly depth: Millimetres
}

export interface StepShim {
  /** The edge where the gap is widest; the leaves go in from there. */
  readonly openEdge: OpenEdge
  readonly largestGap: Millimetres
  /** At the edge across from it: a leaf of this thickness goes under the whole foot first. */
  readonly smallestGap: Millimetres
  /** In the order they are laid: the whole one, when there is a gap all over, then the steps. */
  readonly leaves: readonly StepLeaf[]
  /** The gap is never further from the steps than this. */
  readonly mismatch: Millimetres
  /** The gap also opens along its edge by more than the steps leave: steps don't cure it, machine the foot. */
  readonly diagonal: boolean
}

/**
 * Stepped leaves that fill the wedge under a bent foot: one leaf of the smallest gap over the full depth,
 * then n leaves of `(gmax - gmin)/n`, leaf k in from the open edge by `B(1 - (k - 0.5)/n)`. The steps
 * follow the wedge within `(gmax - gmin)/(2n)`; what the gap differs by along its edges comes on top.
 * Millimetres. Source: docs/methods/step-shim.md.
 */
export const stepShim = (gaps: CornerGaps, size: FootSize, leaves: number): StepShim => {
  const edge = (name: OpenEdge, a: Millimetres, b: Millimetres, depth: Millimetres) => ({
    name,
    gap: (a + b) / 2,
    /** How far each corner stands off the middle of the edge. */
    uneven: Math.abs(a - b) / 2,
    depth,
  })
  const outboard = edge('outboard', gaps.outboardOuter, gaps.outboardInner, size.along)
  const inboard = edge('inboard', gaps.inboardOuter, gaps.inboardInner, size.along)
  const outer = edge('outer', gaps.outboardOuter, gaps.inboardOuter, size.across)
  const inner = edge('inner', gaps.outboardInner, gaps.inboardInner, size.across)
  const wedges = [
    [outboard, inboard],
    [inboard, outboard],
    [outer, inner],
    [inner, outer],
  ] as const
  // The way in which the gap opens most.
  const [open, closed] = wedges.reduce((most, w) =>
    w[0].gap - w[1].gap > most[0].gap - most[1].gap ? w : most,
  )
  const rise = open.gap - closed.gap
  const step = rise / (2 * leaves)
  const uneven = Math.max(open.uneven, closed.uneven)
  const whole = closed.gap > 0 ? [{ thickness: closed.gap, depth: open.depth }] : []
  const steps =
    rise > 0
      ? Array.from({ length: leaves }, (_, k) => ({
          thickness: rise / leaves,
          depth: open.depth * (1 - (k + 0.5) / leaves),
        }))
      : []
  return {
    openEdge: open.name,
    largestGap: open.gap,
    smallestGap: closed.gap,
    leaves: [...whole, ...steps],
    mismatch: step + uneven,
    diagonal: uneven > step,
  }
}
