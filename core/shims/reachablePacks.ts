import type { Millimetres } from '../units/unitSystem'
import { layThinBetweenThick, leafKinds, thicknessKey, type LeafKind, type StockShim } from './leafKinds'

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
const WAYS_KEPT = 24

interface Way {
  readonly picks: readonly number[]
  readonly changes: number
}

const better = (a: Way, b: Way) => a.changes - b.changes || a.picks.length - b.picks.length

const packOf = (way: Way, kinds: readonly LeafKind[], existing: readonly Millimetres[]): Pack => {
  const left = existing.map((t) => ({ t, key: thicknessKey(t), kept: false }))
  const putIn: Millimetres[] = []
  const pieces: number[] = []
  const shims: Millimetres[] = []
  for (const k of way.picks) {
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
    changes: way.changes,
  }
}

/** Totals that real packs can reach under one foot, with the ways to reach each. */
export interface PackChoices {
  /** Keys of the totals (thicknessKey). */
  readonly keys: readonly number[]
  readonly has: (key: number) => boolean
  /** Fewest shims handled for this total. */
  readonly changes: (key: number) => number
  /** The easiest pack of this total. */
  readonly pack: (key: number) => Pack
  /** Every kept way, easiest first. */
  readonly packs: (key: number) => readonly Pack[]
}

/**
 * Every total that real packs can reach under one foot. At most `limit` leaves a pack; leaving the
 * pack alone always counts, however it was built. Exhaustive over multisets of what lies there and
 * what is in stock; packs themselves are only built when asked for. Millimetres.
 */
export const packChoices = (
  existing: readonly Millimetres[],
  stock: readonly StockShim[],
  limit: number,
  maxPack: Millimetres,
): PackChoices => {
  const kinds = leafKinds(existing, stock)
  const ways = new Map<number, Way[]>()
  const used = kinds.map(() => 0)
  const piecesLeft = stock.map((s) => s.count)
  const chosen: number[] = []
  let kept = 0
  const offer = (total: Millimetres) => {
    const way: Way = { picks: [...chosen], changes: existing.length + chosen.length - 2 * kept }
    const key = thicknessKey(total)
    const known = ways.get(key)
    if (!known) ways.set(key, [way])
    else if (known.length < WAYS_KEPT) known.push(way)
    else {
      const worst = known.reduce((w, x, i) => (better(x, known[w] as Way) > 0 ? i : w), 0)
      if (better(way, known[worst] as Way) < 0) known[worst] = way
    }
  }
  const highest = thicknessKey(maxPack)
  const choose = (from: number, total: Millimetres) => {
    offer(total)
    if (chosen.length === limit) return
    for (let k = from; k < kinds.length; k++) {
      const kind = kinds[k] as LeafKind
      const n = used[k] as number
      if (n >= kind.lyingThere + kind.onShelf || thicknessKey(total + kind.thickness) > highest) continue
      if (kind.piece >= 0 && (piecesLeft[kind.piece] as number) === 0) continue
      const stays = n < kind.lyingThere
      chosen.push(k)
      used[k] = n + 1
      if (stays) kept++
      if (kind.piece >= 0) piecesLeft[kind.piece] = (piecesLeft[kind.piece] as number) - 1
      choose(k, total + kind.thickness)
      if (kind.piece >= 0) piecesLeft[kind.piece] = (piecesLeft[kind.piece] as number) + 1
      if (stays) kept--
      used[k] = n
      chosen.pop()
    }
  }
  choose(0, 0)
  for (const list of ways.values()) list.sort(better)

  const asIs = existing.reduce((s, t) => s + t, 0)
  const untouched: Pack = {
    total: asIs,
    shims: existing,
    takeOut: [],
    putIn: [],
    pieces: [],
    changes: 0,
  }
  const asIsKey = thicknessKey(asIs)
  const built = new Map<number, readonly Pack[]>()
  const packs = (key: number): readonly Pack[] => {
    const known = built.get(key)
    if (known) return known
    const list = (ways.get(key) ?? []).map((w) => packOf(w, kinds, existing))
    const all = key === asIsKey ? [untouched, ...list.filter((p) => p.changes > 0)] : list
    built.set(key, all)
    return all
  }
  return {
    keys: [...new Set([asIsKey, ...ways.keys()])],
    has: (key) => key === asIsKey || ways.has(key),
    changes: (key) => (key === asIsKey ? 0 : ((ways.get(key)?.[0] as Way | undefined)?.changes ?? Infinity)),
    pack: (key) => packs(key)[0] as Pack,
    packs,
  }
}

/** Only the pack as it lies: a foot that may not be opened. */
export const untouchedPack = (existing: readonly Millimetres[]): PackChoices =>
  packChoices(existing, [], 0, -1)
