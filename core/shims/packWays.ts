import type { LeafKind, StockShim } from './leafKinds'
import type { PackTable } from './packTable'

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

/** Fewer of a kind than this on the shelf is few. */
const FEW = 24

/** Fewest leaves handled first, then fewest leaves, then those that leave scarce ones for other feet. */
const easier = (a: Way, b: Way): number =>
  a.price - b.price || a.picks.length - b.picks.length || a.scarce - b.scarce

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
  const walk = new Walk(table, stock, keep)
  const sizes = table.sets
    .flatMap((row, kept) => row.map((set, put) => ({ kept, put, set })))
    .filter(({ set }) => set.has(total))
    .sort((a, b) => a.put - a.kept - (b.put - b.kept) || a.put + a.kept - (b.put + b.kept))
  for (const { kept, put } of sizes) if (!walk.lay(kept, put, total)) break
  return walk.found
}

/** Lays leaf on leaf, thickest first: those that stay, then those that are put in. */
class Walk {
  readonly found: Way[] = []
  private readonly used: Int32Array
  private readonly piecesLeft: number[]
  private readonly picks: number[] = []
  private price = 0
  private scarce = 0
  private tried = 0

  constructor(
    private readonly table: PackTable,
    stock: readonly StockShim[],
    private readonly keep: number,
  ) {
    this.used = new Int32Array(table.kinds.length)
    this.piecesLeft = stock.map((s) => s.count)
  }

  /** All ways of so many leaves that stay and so many put in; false when nothing easier can follow. */
  lay(kept: number, put: number, total: number): boolean {
    this.price = put - kept
    const worst = this.found[this.keep - 1]
    if (worst && (worst.price < this.price || worst.scarce === 0)) return false
    this.stay(kept, put, total, 0)
    return true
  }

  private add() {
    const { found, keep, price, scarce } = this
    const way: Way = { picks: [...this.picks].sort((a, b) => a - b), price, scarce }
    if (found.length === keep && easier(way, found[keep - 1] as Way) >= 0) return
    const at = found.findIndex((f) => easier(way, f) < 0)
    found.splice(at < 0 ? found.length : at, 0, way)
    if (found.length > keep) found.pop()
  }

  /** Whether to leave off: enough tried, or as many found as are kept, none of which another could better. */
  private get over(): boolean {
    const most = this.found.length > 0 ? MOST_TRIED : 20 * MOST_TRIED
    return this.tried > most || this.found[this.keep - 1]?.scarce === 0
  }

  private stay(n: number, puts: number, left: number, from: number) {
    if (n === 0) {
      this.put(puts, left, 0)
      return
    }
    const { kinds, steps, sets } = this.table
    const rest = sets[n - 1]?.[puts]
    for (let k = from; k < kinds.length; k++) {
      const u = this.used[k] as number
      const after = left - (steps[k] as number)
      if (u >= (kinds[k] as LeafKind).lyingThere || !rest?.has(after)) continue
      this.used[k] = u + 1
      this.picks.push(k)
      this.stay(n - 1, puts, after, k)
      this.picks.pop()
      this.used[k] = u
    }
  }

  private put(n: number, left: number, from: number) {
    if (n === 0) {
      this.add()
      return
    }
    const { kinds, steps, sets } = this.table
    const rest = sets[0]?.[n - 1]
    for (let k = from; k < kinds.length; k++) {
      const by = steps[k] as number
      // What follows is thinner still.
      if (n * by < left) return
      if (!rest?.has(left - by)) continue
      const kind = kinds[k] as LeafKind
      const u = this.used[k] as number
      // Of one thickness what lies there stays before another is put in.
      if (u < kind.lyingThere || u >= kind.lyingThere + kind.onShelf) continue
      const pieces = kind.piece < 0 ? 1 : (this.piecesLeft[kind.piece] as number)
      if (pieces === 0) continue
      this.tried++
      if (this.over) return
      const few = kind.onShelf < FEW ? 1 : 0
      this.used[k] = u + 1
      if (kind.piece >= 0) this.piecesLeft[kind.piece] = pieces - 1
      this.picks.push(k)
      this.scarce += few
      this.put(n - 1, left - by, k)
      this.scarce -= few
      this.picks.pop()
      if (kind.piece >= 0) this.piecesLeft[kind.piece] = pieces
      this.used[k] = u
    }
  }
}
