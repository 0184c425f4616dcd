import type { Millimetres } from '../units/unitSystem'
import {
  layThinBetweenThick,
  SAME_THICKNESS as SAME,
  thicknessKey,
  type LeafKind,
  type StockShim,
} from './leafKinds'
import { countFor, packTable, UNREACHED } from './packTable'
import { waysTo, type Way } from './packWays'

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
  /** `all`, or `within N um` where totals had to be rounded. */
  readonly searched: string
}

/** Ways looked at for one total: the first is the easiest. */
const WAYS = 4

/**
 * The best pack that can really be laid: smallest error, then fewest leaves handled, then fewest
 * leaves, then the thinner of two equally wrong ones. Exact: the totals that any pack makes are known from
 * the table, and the nearest ones are laid out leaf by leaf. Millimetres.
 */
export const shimPack = (input: ShimPackInput): ShimPackResult => {
  const { wanted, existing, stock, limit } = input
  // The empty pack is off by all of it, so nothing over twice as high can be nearer.
  const highest = Math.min(2 * wanted + SAME * (limit + 1), (input.highest ?? Infinity) + SAME)
  const counted = countFor(existing, stock, limit, highest)
  const table = packTable(existing, stock, limit, counted)
  const { size } = table
  const goal = thicknessKey(wanted) / counted.step
  const made = (t: number) => (table.price[t] ?? UNREACHED) !== UNREACHED
  let nearest = Infinity
  for (let off = Math.max(0, Math.floor(goal) - size); nearest === Infinity; off++)
    if (made(Math.floor(goal) - off) || made(Math.ceil(goal) + off)) nearest = off + 1
  // Each leaf was rounded to the table's step by half of one at most.
  const reach = nearest + limit / 2
  let best: { leaves: readonly PackLeaf[]; total: number; changes: number } | null = null
  const last = Math.min(size - 1, Math.floor(goal + reach))
  for (let t = Math.max(0, Math.ceil(goal - reach)); t <= last; t++) {
    if (!made(t)) continue
    for (const way of waysTo(table, t, stock, WAYS)) {
      const leaves = leavesOf(way, table.kinds)
      const total = leaves.reduce((s, l) => s + l.thickness, 0)
      if (input.highest !== undefined && total > input.highest + SAME) continue
      const changes = existing.length + way.price
      if (!best || better(wanted, { leaves, total, changes }, best)) best = { leaves, total, changes }
    }
  }
  const found = best ?? { leaves: [], total: 0, changes: existing.length }
  return {
    pack: layThinBetweenThick(found.leaves, (leaf) => leaf.thickness),
    total: found.total,
    error: found.total - wanted,
    changes: found.changes,
    count: found.leaves.length,
    searched: counted.rounded
      ? `within ${Number((limit * counted.step * SAME * 1000).toFixed(1))} um`
      : 'all',
  }
}

interface Laid {
  readonly leaves: readonly PackLeaf[]
  readonly total: Millimetres
  readonly changes: number
}

/** Whether a is a better pack than b: nearer, easier, fewer, thinner. */
const better = (wanted: Millimetres, a: Laid, b: Laid): boolean => {
  const nearer = Math.abs(a.total - wanted) - Math.abs(b.total - wanted)
  if (Math.abs(nearer) > SAME) return nearer < 0
  const easier = a.changes - b.changes || a.leaves.length - b.leaves.length
  return easier !== 0 ? easier < 0 : a.total < b.total - SAME
}

const leavesOf = (way: Way, kinds: readonly LeafKind[]): readonly PackLeaf[] => {
  const seen = new Map<number, number>()
  return way.picks.map((k): PackLeaf => {
    const kind = kinds[k] as LeafKind
    const nth = seen.get(k) ?? 0
    seen.set(k, nth + 1)
    if (kind.peeledFrom !== undefined)
      return Math.abs(kind.thickness - kind.peeledFrom) < SAME
        ? { thickness: kind.thickness, source: 'stock' }
        : { thickness: kind.thickness, source: 'peeled', peeledFrom: kind.peeledFrom }
    return { thickness: kind.thickness, source: nth < kind.lyingThere ? 'kept' : 'stock' }
  })
}
