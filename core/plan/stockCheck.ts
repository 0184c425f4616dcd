import { thicknessKey, type StockShim } from '../shims/leafKinds'
import type { Pack } from '../shims/reachablePacks'
import { SIDES, type Side } from './pairNames'
import type { PairLifts } from './planFoot'
import type { Work } from './work'

/** The packs of one pair, left and right. */
export type PairPack = Readonly<Record<Side, Pack>>

/** One foot with the packs that make its height, easiest first. */
interface Slot {
  readonly ways: readonly Pack[]
  readonly existing: readonly number[]
}

/** All leaves there are: the shelf, and what lies under every foot that is planned. */
class Pool {
  private readonly plain = new Map<number, number>()
  private readonly pieces: number[]

  constructor(stock: readonly StockShim[], slots: readonly Slot[]) {
    this.pieces = stock.map((s) => (s.kind === 'laminated' ? s.count : 0))
    for (const s of stock) if (s.kind !== 'laminated') this.change(thicknessKey(s.thickness), s.count)
    for (const { existing } of slots) for (const t of existing) this.change(thicknessKey(t), 1)
  }

  private change(key: number, by: number) {
    this.plain.set(key, (this.plain.get(key) ?? 0) + by)
  }

  /** Takes a pack's leaves, or puts them back: what lies there less what comes out, and what goes in. */
  take(pack: Pack, existing: readonly number[], sign: 1 | -1) {
    for (const t of existing) this.change(thicknessKey(t), -sign)
    for (const t of pack.takeOut) this.change(thicknessKey(t), sign)
    pack.putIn.forEach((t, i) => {
      const piece = pack.pieces[i] ?? -1
      if (piece >= 0) this.pieces[piece] = (this.pieces[piece] as number) - sign
      else this.change(thicknessKey(t), -sign)
    })
  }

  /** Whether there were enough leaves for a pack that was taken. */
  enoughFor(pack: Pack, existing: readonly number[]): boolean {
    const enough = (t: number) => (this.plain.get(thicknessKey(t)) ?? 0) >= 0
    return (
      existing.every(enough) &&
      pack.putIn.every((t, i) => {
        const piece = pack.pieces[i] ?? -1
        return piece >= 0 ? (this.pieces[piece] as number) >= 0 : enough(t)
      })
    )
  }
}

/** Steps that building one pack counts for, the first time. */
const BUILDING = 150

/**
 * Packs for every pair at once out of one pool, shelf plus what comes out, each pair at its wanted lift:
 * the easiest packs where they fit, else the combination of other packs of the same heights that handles
 * the fewest shims. Null when the pool can't supply them, or when `work` ends the search first.
 */
export const packsFromShelf = (
  wanted: readonly { readonly pair: PairLifts; readonly lift: number }[],
  stock: readonly StockShim[],
  work: Work,
): { readonly packs: readonly PairPack[]; readonly changes: number } | null => {
  const slots = wanted.flatMap(({ pair, lift }) =>
    SIDES.map((side): Slot => ({ ways: pair.packs(lift, side), existing: pair.foot.existing[side] })),
  )
  let built = 0
  for (const { ways } of slots)
    if (!work.seen.has(ways)) {
      work.seen.add(ways)
      built += ways.length
    }
  if (work.spend(BUILDING * built) || slots.some((s) => s.ways.length === 0)) return null
  const least = slots.map((s) => (s.ways[0] as Pack).changes)
  const rest = least.map((_, i) => least.slice(i + 1).reduce((s, x) => s + x, 0))
  const pool = new Pool(stock, slots)
  const pick = slots.map(() => 0)
  let best: { readonly pick: readonly number[]; readonly changes: number } | null = null
  const choose = (at: number, changes: number) => {
    const slot = slots[at]
    if (!slot) {
      best = { pick: [...pick], changes }
      return
    }
    for (const [w, pack] of slot.ways.entries()) {
      if (best && changes + pack.changes + (rest[at] as number) >= best.changes) return
      if (work.spend(1)) return
      pick[at] = w
      pool.take(pack, slot.existing, 1)
      if (pool.enoughFor(pack, slot.existing)) choose(at + 1, changes + pack.changes)
      pool.take(pack, slot.existing, -1)
    }
  }
  choose(0, 0)
  const found = best as { readonly pick: readonly number[]; readonly changes: number } | null
  if (!found) return null
  const chosen = slots.map((s, i) => s.ways[found.pick[i] as number] as Pack)
  return {
    packs: wanted.map((_, i) => ({ left: chosen[2 * i] as Pack, right: chosen[2 * i + 1] as Pack })),
    changes: found.changes,
  }
}

/**
 * For each foot the leaves that lie under the other feet that may be opened, as far as the shelf is short of
 * their thickness: where there are plenty, nobody needs them.
 */
export const lentTo = (
  feet: readonly {
    readonly existing: Readonly<Record<Side, readonly number[]>>
    readonly locked?: boolean
  }[],
  stock: readonly StockShim[],
  packLimit: number,
): readonly Readonly<Record<Side, readonly number[]>>[] => {
  const onShelf = new Map<number, number>()
  for (const s of stock)
    if (s.kind !== 'laminated') {
      const key = thicknessKey(s.thickness)
      onShelf.set(key, (onShelf.get(key) ?? 0) + s.count)
    }
  const short = (t: number) => (onShelf.get(thicknessKey(t)) ?? 0) < packLimit
  const of = (i: number, side: Side) => (feet[i]?.locked ? [] : (feet[i]?.existing[side] ?? []).filter(short))
  const all = feet.flatMap((_, i) => SIDES.map((side) => ({ i, side, leaves: of(i, side) })))
  const others = (i: number, side: Side) => {
    const lent = all.filter((o) => o.i !== i || o.side !== side).flatMap((o) => o.leaves)
    // More of one thickness than a pack holds is never needed.
    const seen = new Map<number, number>()
    return lent
      .filter((t) => {
        const key = thicknessKey(t)
        const n = (seen.get(key) ?? 0) + 1
        seen.set(key, n)
        return n <= packLimit
      })
      .sort((a, b) => a - b)
  }
  return feet.map((_, i) => ({ left: others(i, 'left'), right: others(i, 'right') }))
}
