import type { Millimetres } from '../units/unitSystem'
import {
  layThinBetweenThick,
  leafKinds,
  SAME_THICKNESS as SAME,
  type LeafKind,
  type StockShim,
} from './leafKinds'

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
  readonly stock: readonly StockShim[]
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

/**
 * The best pack that can really be laid: smallest error, then fewest leaves handled, then fewest
 * leaves, then the thinner of two equally wrong ones. Exact: every multiset is looked at that
 * could still win, thickest leaf first, cut off where no remaining leaf can reach the best error
 * found so far. Millimetres.
 */
export const shimPack = (input: ShimPackInput): ShimPackResult => {
  const { wanted, existing, limit } = input
  const kinds = leafKinds(existing, input.stock)
  const piecesLeft = input.stock.map((s) => s.count)
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
    pack: layThinBetweenThick(leaves, (leaf) => leaf.thickness),
    total: found.total,
    error: found.total - wanted,
    changes: found.changes,
    count: leaves.length,
  }
}
