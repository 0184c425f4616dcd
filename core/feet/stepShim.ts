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
  readonly leaves: readonly StepLeaf[]
  /** The wedge is never further from the steps than this. */
  readonly mismatch: Millimetres
}

/**
 * Stepped leaves that fill the wedge under a bent foot: n leaves of gmax/n, leaf k goes in from
 * the open edge by `B(1 - (k - 0.5)/n)`, mismatch at most gmax/(2n). Millimetres. Source: chapter
 * 2, Corner gaps.
 */
export const stepShim = (gaps: CornerGaps, size: FootSize, leaves: number): StepShim => {
  const edges: readonly { edge: OpenEdge; gap: Millimetres; depth: Millimetres }[] = [
    { edge: 'outboard', gap: (gaps.outboardOuter + gaps.outboardInner) / 2, depth: size.along },
    { edge: 'inboard', gap: (gaps.inboardOuter + gaps.inboardInner) / 2, depth: size.along },
    { edge: 'outer', gap: (gaps.outboardOuter + gaps.inboardOuter) / 2, depth: size.across },
    { edge: 'inner', gap: (gaps.outboardInner + gaps.inboardInner) / 2, depth: size.across },
  ]
  const open = edges.reduce((widest, e) => (e.gap > widest.gap ? e : widest))
  const thickness = open.gap / leaves
  return {
    openEdge: open.edge,
    largestGap: open.gap,
    leaves: Array.from({ length: leaves }, (_, k) => ({
      thickness,
      depth: open.depth * (1 - (k + 0.5) / leaves),
    })),
    mismatch: open.gap / (2 * leaves),
  }
}
