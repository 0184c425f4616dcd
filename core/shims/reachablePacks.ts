import type { Millimetres } from '../units/unitSystem'
import { layThinBetweenThick, thicknessKey, type LeafKind, type StockShim } from './leafKinds'
import { countFor, packTable, shelfTotals, UNREACHED, type Counted } from './packTable'
import { waysTo } from './packWays'
import type { TotalSet } from './totalSet'

/** A pack that can be made under one foot, and what making it takes. */
export interface Pack {
  readonly total: Millimetres
  /** Bottom up, thin leaves between thick ones. */
  readonly shims: readonly Millimetres[]
  readonly takeOut: readonly Millimetres[]
  readonly putIn: readonly Millimetres[]
  /** For each leaf put in: index into the stock of the laminated piece it is peeled from, or -1. */
  readonly pieces: readonly number[]
  /** Shims handled: out plus in. */
  readonly changes: number
}

/** How many ways of reaching one total are kept, for when stock runs short. */
const WAYS_KEPT = 16

const packOf = (
  picks: readonly number[],
  changes: number,
  kinds: readonly LeafKind[],
  existing: readonly Millimetres[],
): Pack => {
  const left = existing.map((t) => ({ t, key: thicknessKey(t), kept: false }))
  const putIn: Millimetres[] = []
  const pieces: number[] = []
  const shims: Millimetres[] = []
  for (const k of picks) {
    const kind = kinds[k] as LeafKind
    shims.push(kind.thickness)
    const key = thicknessKey(kind.thickness)
    const lying = kind.piece < 0 ? left.find((l) => !l.kept && l.key === key) : undefined
    if (lying) lying.kept = true
    else {
      putIn.push(kind.thickness)
      pieces.push(kind.piece)
    }
  }
  return {
    total: shims.reduce((s, t) => s + t, 0),
    shims: layThinBetweenThick(shims, (t) => t),
    takeOut: left.filter((l) => !l.kept).map((l) => l.t),
    putIn,
    pieces,
    changes,
  }
}

/** Totals that real packs can reach under one foot, with the ways to reach each. */
export interface PackChoices {
  /** Totals in tenths of a micrometre (thicknessKey), lowest first. */
  readonly keys: Int32Array
  /** Totals are told apart to this many tenths of a micrometre a leaf, since looking closer would take too long; 0 when exactly. */
  readonly within: number
  /** The total as it lies. */
  readonly asIs: number
  readonly has: (key: number) => boolean
  /** Fewest shims handled for this total. */
  readonly changes: (key: number) => number
  /** The kept ways, easiest first; none only where its ways are too many to tell apart. */
  readonly packs: (key: number) => readonly Pack[]
}

/** A pack as it lies, with nothing done to it. */
const asItLies = (existing: readonly Millimetres[]): Pack => ({
  total: existing.reduce((s, t) => s + t, 0),
  shims: existing,
  takeOut: [],
  putIn: [],
  pieces: [],
  changes: 0,
})

/**
 * A shelf and the feet that are shimmed from it: what its leaves come to is worked out once for all of them,
 * and feet that are alike once. `lying` is every leaf that lies under any of the feet, `highest` the highest
 * pack that any of them takes. At most `limit` leaves a pack. Millimetres.
 */
export class ShimShelf {
  readonly counted: Counted
  private totals: readonly TotalSet[] | null = null
  private readonly known = new Map<string, PackChoices>()

  constructor(
    readonly stock: readonly StockShim[],
    readonly limit: number,
    lying: readonly Millimetres[],
    highest: Millimetres,
  ) {
    this.counted = countFor(lying, stock, limit, highest)
  }

  /**
   * Every total that real packs can reach under one foot. Leaving the pack alone always counts, however it
   * was built. Exact over all packs of what lies there, what is in stock and what is `lent`: leaves that come
   * out elsewhere. Packs themselves are only built when asked for.
   */
  choices(
    existing: readonly Millimetres[],
    maxPack: Millimetres,
    lent: readonly Millimetres[] = [],
  ): PackChoices {
    const name = `${existing.join()};${lent.join()};${maxPack}`
    const choices = this.known.get(name) ?? this.work(existing, maxPack, lent)
    this.known.set(name, choices)
    return choices
  }

  private work(
    existing: readonly Millimetres[],
    maxPack: Millimetres,
    lent: readonly Millimetres[],
  ): PackChoices {
    const { counted, limit, stock } = this
    const { step } = counted
    this.totals ??= shelfTotals(stock, limit, counted)
    const leaves = lent.map((thickness): StockShim => ({ thickness, count: 1, kind: 'plain' }))
    const table = packTable(existing, stock, limit, counted, this.totals, leaves)
    const size = Math.min(counted.size, Math.floor(thicknessKey(maxPack) / step) + 1)
    const asIs = existing.reduce((s, t) => s + Math.round(thicknessKey(t) / step), 0) * step
    const priceOf = (key: number): number => {
      const total = key / step
      return total >= 0 && total < size ? (table.price[total] ?? UNREACHED) : UNREACHED
    }
    const keys = new Int32Array(size + 1)
    let count = 0
    for (let t = 0; t < size; t++)
      if (table.price[t] !== UNREACHED || t * step === asIs) keys[count++] = t * step
    if (asIs >= size * step) keys[count++] = asIs
    const built = new Map<number, readonly Pack[]>()
    const packs = (key: number): readonly Pack[] => {
      const known = built.get(key)
      if (known) return known
      const list = waysTo(table, key / step, [...stock, ...leaves], WAYS_KEPT).map((w) =>
        packOf(w.picks, existing.length + w.price, table.kinds, existing),
      )
      const all = key === asIs ? [asItLies(existing), ...list.filter((p) => p.changes > 0)] : list
      built.set(key, all)
      return all
    }
    return {
      keys: keys.subarray(0, count),
      within: counted.rounded ? step : 0,
      asIs,
      has: (key) => key === asIs || priceOf(key) !== UNREACHED,
      changes: (key) => (key === asIs ? 0 : existing.length + priceOf(key)),
      packs,
    }
  }
}

/** Every total that real packs can reach under one foot by itself; see ShimShelf. */
export const packChoices = (
  existing: readonly Millimetres[],
  stock: readonly StockShim[],
  limit: number,
  maxPack: Millimetres,
): PackChoices => new ShimShelf(stock, limit, existing, maxPack).choices(existing, maxPack)

/** Only the pack as it lies: a foot that may not be opened. */
export const untouchedPack = (existing: readonly Millimetres[]): PackChoices => {
  const pack = asItLies(existing)
  const asIs = thicknessKey(pack.total)
  return {
    keys: Int32Array.of(asIs),
    within: 0,
    asIs,
    has: (key) => key === asIs,
    changes: () => 0,
    packs: () => [pack],
  }
}
