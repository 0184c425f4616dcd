import type { Millimetres } from '../units/unitSystem'

/** A kind of shim on the shelf. Laminated ones peel in whole layers; at least one layer stays. */
export interface StockShim {
  readonly thickness: Millimetres
  readonly count: number
  readonly kind?: 'plain' | 'laminated'
  /** Layer of a laminated shim. */
  readonly layer?: Millimetres
}

/** Leaves of one thickness that can go into a pack: those lying there first, then from the shelf. */
export interface LeafKind {
  readonly thickness: Millimetres
  readonly lyingThere: number
  readonly onShelf: number
  /** Index of the laminated stock it is peeled from; -1 for plain ones. */
  readonly piece: number
  /** Full thickness of that stock. */
  readonly peeledFrom?: Millimetres
}

/** Two thicknesses nearer than this are the same, a tenth of a micrometre; far below any leaf. */
export const SAME_THICKNESS: Millimetres = 1e-4

/** Totals and leaves are told apart to a tenth of a micrometre. */
export const thicknessKey = (t: Millimetres): number => Math.round(t / SAME_THICKNESS)

/** Every thickness a leaf can have, thickest first. `piece` counts in the order of `stock`. */
export const leafKinds = (
  existing: readonly Millimetres[],
  stock: readonly StockShim[],
): readonly LeafKind[] => {
  const plain = new Map<number, { thickness: Millimetres; lyingThere: number; onShelf: number }>()
  const at = (thickness: Millimetres) => {
    const key = thicknessKey(thickness)
    const known = plain.get(key) ?? { thickness, lyingThere: 0, onShelf: 0 }
    plain.set(key, known)
    return known
  }
  for (const t of existing) at(t).lyingThere++
  const kinds: LeafKind[] = []
  stock.forEach((s, piece) => {
    if (s.count <= 0) return
    if (s.kind !== 'laminated') {
      at(s.thickness).onShelf += s.count
      return
    }
    const layer = s.layer ?? s.thickness
    for (let t = s.thickness; t > layer - SAME_THICKNESS; t -= layer)
      kinds.push({ thickness: t, lyingThere: 0, onShelf: s.count, piece, peeledFrom: s.thickness })
  })
  kinds.push(...[...plain.values()].map((k) => ({ ...k, piece: -1 })))
  return kinds.sort((a, b) => b.thickness - a.thickness)
}

/** Thick leaves outside, thin ones in the middle; the thickest lies at the bottom. */
export const layThinBetweenThick = <T>(
  leaves: readonly T[],
  thicknessOf: (leaf: T) => Millimetres,
): readonly T[] => {
  const thickFirst = [...leaves].sort((a, b) => thicknessOf(b) - thicknessOf(a))
  const bottom: T[] = []
  const top: T[] = []
  thickFirst.forEach((leaf, i) => (i % 2 === 0 ? bottom : top).push(leaf))
  return [...bottom, ...top.reverse()]
}
