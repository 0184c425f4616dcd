import { thicknessKey, type StockShim } from '../shims/leafKinds'
import type { Pack } from '../shims/reachablePacks'
import { SIDES, type PairLifts, type Side } from './planFoot'

/** The packs of one pair, left and right. */
export type PairPack = Readonly<Record<Side, Pack>>

/** Counts what a set of packs takes from the shelf and what it gives back. */
class ShelfBalance {
  private readonly plain = new Map<number, number>()
  private readonly pieces: number[]

  constructor(stock: readonly StockShim[]) {
    this.pieces = stock.map((s) => (s.kind === 'laminated' ? s.count : 0))
    for (const s of stock) if (s.kind !== 'laminated') this.change(thicknessKey(s.thickness), s.count)
  }

  private change(key: number, by: number) {
    this.plain.set(key, (this.plain.get(key) ?? 0) + by)
  }

  /** Books one pack, or takes the booking back. */
  book(pack: Pack, sign: 1 | -1) {
    for (const t of pack.takeOut) this.change(thicknessKey(t), sign)
    pack.putIn.forEach((t, i) => {
      const piece = pack.pieces[i] ?? -1
      if (piece >= 0) this.pieces[piece] = (this.pieces[piece] as number) - sign
      else this.change(thicknessKey(t), -sign)
    })
  }

  holds(): boolean {
    for (const left of this.plain.values()) if (left < 0) return false
    return this.pieces.every((left) => left >= 0)
  }
}

/**
 * Packs for every pair at once that the shelf can supply, each pair at its wanted lift: the
 * easiest packs where they fit, else the combination of other packs of the same heights that
 * handles the fewest shims. Leaves taken out anywhere may be used elsewhere. Null when the shelf
 * cannot supply them.
 */
export const packsFromShelf = (
  wanted: readonly { readonly pair: PairLifts; readonly lift: number }[],
  stock: readonly StockShim[],
): { readonly packs: readonly PairPack[]; readonly changes: number } | null => {
  const slots = wanted.flatMap(({ pair, lift }) => SIDES.map((side) => pair.packs(lift, side)))
  const pick = slots.map(() => 0)
  const shelf = new ShelfBalance(stock)
  slots.forEach((ways) => shelf.book(ways[0] as Pack, 1))
  if (!shelf.holds()) {
    const fresh = new ShelfBalance(stock)
    let best: { pick: number[]; changes: number } | null = null
    let tries = 0
    const least = slots.map((ways) => (ways[0] as Pack).changes)
    const rest = least.map((_, i) => least.slice(i).reduce((s, x) => s + x, 0))
    const choose = (slot: number, changes: number) => {
      if (tries++ > 20_000 || (best && changes + (rest[slot] ?? 0) >= best.changes)) return
      if (slot === slots.length) {
        if (fresh.holds()) best = { pick: [...pick], changes }
        return
      }
      const ways = slots[slot] as readonly Pack[]
      for (let w = 0; w < ways.length; w++) {
        const pack = ways[w] as Pack
        pick[slot] = w
        fresh.book(pack, 1)
        choose(slot + 1, changes + pack.changes)
        fresh.book(pack, -1)
      }
    }
    choose(0, 0)
    if (!best) return null
    pick.splice(0, pick.length, ...(best as { pick: number[] }).pick)
  }
  const chosen = slots.map((ways, i) => ways[pick[i] as number] as Pack)
  return {
    packs: wanted.map((_, i) => ({ left: chosen[2 * i] as Pack, right: chosen[2 * i + 1] as Pack })),
    changes: chosen.reduce((s, p) => s + p.changes, 0),
  }
}
