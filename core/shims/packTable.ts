import type { Millimetres } from '../units/unitSystem'
import { leafKinds, thicknessKey, type LeafKind, type StockShim } from './leafKinds'

/** Steps of one table at most: what a person waits for a plan must not hang on how odd the shelf is. */
const MOST_WORK = 1.5e8
/** Cells of one table at most. */
const MOST_CELLS = 4e6
/** A total that no pack makes. */
export const UNREACHED = 100

/**
 * What every total costs in leaves handled, by how many leaves the pack holds. `cost[n][t]` counts leaves
 * put in less leaves kept for n leaves that come to t steps; UNREACHED where none do.
 */
export interface PackTable {
  readonly kinds: readonly LeafKind[]
  /** Each kind's thickness in steps. */
  readonly steps: readonly number[]
  /** Tenths of a micrometre in one step; 1, or what all leaves have in common, unless the work would be too much. */
  readonly step: number
  /** Whether leaves were rounded to steps, so that totals are told apart to no better than that. */
  readonly rounded: boolean
  readonly cost: readonly Int8Array[]
}

const commonDivisor = (a: number, b: number): number => {
  while (b !== 0) [a, b] = [b, a % b]
  return a
}

/** Passes over the table that a shelf takes: one for what there is plenty of, else one a leaf. */
const passesOf = (kinds: readonly LeafKind[], pieces: readonly number[], limit: number): number => {
  const perPiece = new Map<number, number>()
  let passes = 0
  for (const k of kinds) {
    if (k.piece >= 0) perPiece.set(k.piece, (perPiece.get(k.piece) ?? 0) + 1)
    else passes += Math.min(k.lyingThere, limit) + (k.onShelf >= limit ? 1 : k.onShelf)
  }
  for (const [piece, thicknesses] of perPiece) {
    const count = pieces[piece] ?? 0
    passes += thicknesses * (count >= limit ? 1 : count)
  }
  return passes
}

/** How totals are counted for packs of these leaves: the same for every foot that is to be lifted alike. */
export const stepFor = (
  lying: readonly Millimetres[],
  stock: readonly StockShim[],
  limit: number,
  highest: Millimetres,
): { readonly step: number; readonly rounded: boolean } => {
  const kinds = leafKinds(lying, stock)
  const keys = kinds.map((k) => thicknessKey(k.thickness))
  const common = Math.max(1, keys.reduce(commonDivisor, 0))
  const top = Math.max(0, Math.min(thicknessKey(highest), limit * Math.max(0, ...keys)))
  const passes = passesOf(
    kinds,
    stock.map((s) => s.count),
    limit,
  )
  let step = common
  while (passes * limit * (top / step + 1) > MOST_WORK || (limit + 1) * (top / step + 1) > MOST_CELLS)
    step *= 2
  return { step, rounded: step !== common }
}

/**
 * Fills the table: every kind in turn, once for what there is plenty of, else leaf by leaf; of a laminated
 * piece one thickness at most. At most `limit` leaves, no higher than `highest`. Exact, and its work is
 * bounded by totals and leaves, not by how many packs there are.
 */
export const packTable = (
  existing: readonly Millimetres[],
  stock: readonly StockShim[],
  limit: number,
  highest: Millimetres,
  { step, rounded }: { readonly step: number; readonly rounded: boolean },
): PackTable => {
  const kinds = leafKinds(existing, stock)
  const steps = kinds.map((k) => Math.max(1, Math.round(thicknessKey(k.thickness) / step)))
  const top = Math.max(0, Math.min(Math.floor(thicknessKey(highest) / step), limit * Math.max(0, ...steps)))
  const cost = Array.from({ length: limit + 1 }, () => new Int8Array(top + 1).fill(UNREACHED))
  ;(cost[0] as Int8Array)[0] = 0
  /** Highest total reached with n leaves. */
  const reach = new Int32Array(limit + 1).fill(-1)
  reach[0] = 0

  const lay = (n: number, by: number, price: number) => {
    const from = cost[n - 1] as Int8Array
    const to = cost[n] as Int8Array
    const last = Math.min(reach[n - 1] as number, top - by)
    for (let t = 0; t <= last; t++) {
      const c = from[t] as number
      if (c !== UNREACHED && c + price < (to[t + by] as number)) to[t + by] = c + price
    }
    if (last >= 0) reach[n] = Math.max(reach[n] as number, last + by)
  }
  const once = (list: readonly number[], price: number) => {
    for (let n = limit; n >= 1; n--) for (const by of list) lay(n, by, price)
  }
  const often = (by: number) => {
    for (let n = 1; n <= limit; n++) lay(n, by, 1)
  }
  const ofPiece = new Map<number, number[]>()
  kinds.forEach((kind, i) => {
    const by = steps[i] as number
    if (kind.piece >= 0) {
      ofPiece.set(kind.piece, [...(ofPiece.get(kind.piece) ?? []), by])
      return
    }
    for (let c = 0; c < Math.min(kind.lyingThere, limit); c++) once([by], -1)
    if (kind.onShelf >= limit) often(by)
    else for (let c = 0; c < kind.onShelf; c++) once([by], 1)
  })
  for (const [piece, list] of ofPiece) {
    const count = stock[piece]?.count ?? 0
    if (count >= limit) list.forEach(often)
    else for (let c = 0; c < count; c++) once(list, 1)
  }
  return { kinds, steps, step, rounded, cost }
}

/** One multiset of leaves: indexes into the kinds of its table, thickest first. */
export interface Way {
  readonly picks: readonly number[]
  /** Leaves put in less leaves kept. */
  readonly price: number
  /** Leaves put in of which the shelf has few. */
  readonly scarce: number
}

/** Leaves tried for one total before what was found has to do. */
const MOST_TRIED = 3_000

/** Fewest leaves handled first, then fewest leaves, then those that leave scarce ones for other feet. */
export const easier = (a: Way, b: Way): number =>
  a.price - b.price || a.picks.length - b.picks.length || a.scarce - b.scarce

/** Fewer of a kind than this on the shelf is few. */
const FEW = 24

/**
 * Ways to make a total, easiest first, at most `keep` of them: those with the fewest leaves handled, then
 * the fewest leaves. Walks only where the table says that the rest can still be laid.
 */
export const waysTo = (
  table: PackTable,
  total: number,
  stock: readonly StockShim[],
  keep: number,
): readonly Way[] => {
  const { kinds, steps, cost } = table
  const found: Way[] = []
  const used = kinds.map(() => 0)
  const piecesLeft = stock.map((s) => s.count)
  const picks: number[] = []
  let tried = 0
  const worst = () => (found.length < keep ? Infinity : (found[found.length - 1] as Way).price)
  const add = (way: Way) => {
    if (found.length === keep && easier(way, found[keep - 1] as Way) >= 0) return
    const at = found.findIndex((f) => easier(way, f) < 0)
    found.splice(at < 0 ? found.length : at, 0, way)
    if (found.length > keep) found.pop()
  }
  const few = kinds.map((k) => k.onShelf < FEW)
  const walk = (n: number, left: number, from: number, price: number, scarce: number) => {
    if (n === 0) {
      if (left === 0) add({ picks: [...picks], price, scarce })
      return
    }
    const rest = cost[n - 1] as Int8Array
    for (let k = from; k < kinds.length; k++) {
      const by = steps[k] as number
      if (by > left) continue
      const after = rest[left - by] as number
      if (after === UNREACHED) continue
      const kind = kinds[k] as LeafKind
      const u = used[k] as number
      if (u >= kind.lyingThere + kind.onShelf) continue
      if (kind.piece >= 0 && (piecesLeft[kind.piece] as number) === 0) continue
      const own = kind.piece < 0 && u < kind.lyingThere ? -1 : 1
      if (price + own + after > worst()) continue
      if (tried++ > MOST_TRIED && found.length > 0) return
      if (tried > 20 * MOST_TRIED) return
      used[k] = u + 1
      if (kind.piece >= 0) piecesLeft[kind.piece] = (piecesLeft[kind.piece] as number) - 1
      picks.push(k)
      walk(n - 1, left - by, k, price + own, scarce + (own > 0 && few[k] ? 1 : 0))
      picks.pop()
      if (kind.piece >= 0) piecesLeft[kind.piece] = (piecesLeft[kind.piece] as number) + 1
      used[k] = u
    }
  }
  const sizes = cost
    .map((list, n) => ({ n, price: list[total] ?? UNREACHED }))
    .filter((s) => s.price !== UNREACHED)
    .sort((a, b) => a.price - b.price || a.n - b.n)
  for (const { n, price } of sizes) if (price <= worst()) walk(n, total, 0, 0, 0)
  return found
}
