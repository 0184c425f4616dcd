import type { Millimetres } from '../units/unitSystem'

/** A kind of shim on the shelf. Laminated ones peel in whole layers; at least one layer stays. */
export type StockKind =
  | { readonly kind: 'plain'; readonly thickness: Millimetres; readonly count: number }
  | {
      readonly kind: 'laminated'
      readonly thickness: Millimetres
      readonly count: number
      readonly layer: Millimetres
    }

/** Where a leaf of a pack comes from. */
export type LeafSource = 'kept' | 'stock' | 'peeled'

export interface PackLeaf {
  readonly thickness: Millimetres
  readonly source: LeafSource
  /** Full thickness of the laminated piece it was peeled from. */
  readonly peeledFrom?: Millimetres
}

export interface ShimPackInput {
  /** Wanted total. */
  readonly wanted: Millimetres
  /** Leaves that lie there, bottom up. */
  readonly existing: readonly Millimetres[]
  readonly stock: readonly StockKind[]
  /** Most leaves a pack may hold. */
  readonly limit: number
  /** Highest pack the foot takes; unlimited when missing. */
  readonly highest?: Millimetres
}

export interface ShimPackResult {
  /** Bottom up, thin leaves between thick ones. */
  readonly pack: readonly PackLeaf[]
  readonly total: Millimetres
  /** Total less wanted. */
  readonly error: Millimetres
  /** Leaves taken out and put in. */
  readonly changes: number
  readonly count: number
}

/** Two thicknesses nearer than this are the same, a tenth of a micrometre; far below any leaf. */
const SAME: Millimetres = 1e-4

/** Leaves of one thickness that can go into a pack: those lying there first, then from the shelf. */
export interface LeafKind {
  readonly thickness: Millimetres
  readonly lyingThere: number
  readonly onShelf: number
  /** Shelf pieces this kind shares with others peeled from the same piece; -1 for plain ones. */
  readonly piece: number
  readonly peeledFrom?: Millimetres
}

/** Every thickness a leaf can have, thickest first. */
export const leafKinds = (
  existing: readonly Millimetres[],
  stock: readonly StockKind[],
): { readonly kinds: readonly LeafKind[]; readonly pieceCounts: readonly number[] } => {
  const plain: { thickness: Millimetres; lyingThere: number; onShelf: number }[] = []
  const find = (thickness: Millimetres) => {
    const known = plain.find((k) => Math.abs(k.thickness - thickness) < SAME)
    if (known) return known
    const fresh = { thickness, lyingThere: 0, onShelf: 0 }
    plain.push(fresh)
    return fresh
  }
  for (const t of existing) find(t).lyingThere++
  const kinds: LeafKind[] = []
  const pieceCounts: number[] = []
  for (const s of stock) {
    if (s.count <= 0) continue
    if (s.kind === 'plain') find(s.thickness).onShelf += s.count
    else {
      const piece = pieceCounts.push(s.count) - 1
      for (let peeled = 0; ; peeled++) {
        const thickness = s.thickness - peeled * s.layer
        if (thickness < s.layer - SAME) break
        kinds.push({ thickness, lyingThere: 0, onShelf: s.count, piece, peeledFrom: s.thickness })
      }
    }
  }
  kinds.push(...plain.map((k) => ({ ...k, piece: -1 })))
  return { kinds: kinds.sort((a, b) => b.thickness - a.thickness), pieceCounts }
}

/** Thick leaves outside, thin ones in the middle; the thickest lies at the bottom. */
export const layThinBetweenThick = <T extends { readonly thickness: Millimetres }>(
  leaves: readonly T[],
): readonly T[] => {
  const thickFirst = [...leaves].sort((a, b) => b.thickness - a.thickness)
  const bottom: T[] = []
  const top: T[] = []
  thickFirst.forEach((leaf, i) => (i % 2 === 0 ? bottom : top).push(leaf))
  return [...bottom, ...top.reverse()]
}

/**
 * The best pack that can really be laid: smallest error, then fewest leaves handled, then fewest
 * leaves, then the thinner of two equally wrong ones. Exact: every multiset is looked at that
 * could still win, thickest leaf first, cut off where no remaining leaf can reach the best error
 * found so far. Millimetres.
 */
export const shimPack = (input: ShimPackInput): ShimPackResult => {
  const { wanted, existing, limit } = input
  const { kinds, pieceCounts } = leafKinds(existing, input.stock)
  const piecesLeft = [...pieceCounts]
  const chosen: number[] = []
  const used = kinds.map(() => 0)
  let best: { picks: number[]; total: number; error: number; changes: number } | null = null
  let bestError = Infinity

  const changesOf = () => {
    let kept = 0
    kinds.forEach((k, i) => (kept += Math.min(used[i] as number, k.lyingThere)))
    return existing.length - kept + (chosen.length - kept)
  }
  const consider = (total: Millimetres) => {
    const error = Math.abs(total - wanted)
    if (error > bestError + SAME) return
    const changes = changesOf()
    if (best && error > bestError - SAME) {
      const thinner = total < best.total - SAME ? -1 : 1
      if ((changes - best.changes || chosen.length - best.picks.length || thinner) > 0) return
    }
    best = { picks: [...chosen], total, error, changes }
    bestError = Math.min(bestError, error)
  }
  const choose = (from: number, total: Millimetres) => {
    consider(total)
    if (chosen.length === limit) return
    const slots = limit - chosen.length
    for (let k = from; k < kinds.length; k++) {
      const kind = kinds[k] as LeafKind
      // From here on leaves only get thinner: filling every slot can't reach the best total any more.
      if (total + slots * kind.thickness < wanted - bestError - SAME) return
      const next = total + kind.thickness
      if (next > wanted + bestError + SAME) continue
      if (input.highest !== undefined && next > input.highest + SAME) continue
      if ((used[k] as number) >= kind.lyingThere + kind.onShelf) continue
      if (kind.piece >= 0 && (piecesLeft[kind.piece] as number) === 0) continue
      chosen.push(k)
      used[k] = (used[k] as number) + 1
      if (kind.piece >= 0) piecesLeft[kind.piece] = (piecesLeft[kind.piece] as number) - 1
      choose(k, next)
      if (kind.piece >= 0) piecesLeft[kind.piece] = (piecesLeft[kind.piece] as number) + 1
      used[k] = (used[k] as number) - 1
      chosen.pop()
    }
  }
  choose(0, 0)

  const found = best as unknown as { picks: readonly number[]; total: number; changes: number }
  const seen = new Map<number, number>()
  const leaves = found.picks.map((k): PackLeaf => {
    const kind = kinds[k] as LeafKind
    const nth = seen.get(k) ?? 0
    seen.set(k, nth + 1)
    if (kind.peeledFrom !== undefined)
      return Math.abs(kind.thickness - kind.peeledFrom) < SAME
        ? { thickness: kind.thickness, source: 'stock' }
        : { thickness: kind.thickness, source: 'peeled', peeledFrom: kind.peeledFrom }
    return { thickness: kind.thickness, source: nth < kind.lyingThere ? 'kept' : 'stock' }
  })
  return {
    pack: layThinBetweenThick(leaves),
    total: found.total,
    error: found.total - wanted,
    changes: found.changes,
    count: leaves.length,
  }
}
