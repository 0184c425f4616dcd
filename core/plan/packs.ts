import type { Millimetres } from '../units/unitSystem'

export interface StockShim {
  readonly thickness: Millimetres
  readonly count: number
}

/** A pack that can be made under one foot, and what making it takes. */
export interface Pack {
  readonly total: Millimetres
  /** Bottom up, thin ones between thick ones. */
  readonly shims: readonly Millimetres[]
  readonly takeOut: readonly Millimetres[]
  readonly putIn: readonly Millimetres[]
  /** Shims handled: out plus in. */
  readonly changes: number
}

/** Totals are told apart to a tenth of a micrometre, far below any shim. */
export const thicknessKey = (t: Millimetres): number => Math.round(t * 10_000)

/** Thick shims outside, thin ones in the middle: the thickest lies at the bottom. */
export const layThinBetweenThick = (shims: readonly Millimetres[]): readonly Millimetres[] => {
  const thickFirst = [...shims].sort((a, b) => b - a)
  const bottom: Millimetres[] = []
  const top: Millimetres[] = []
  thickFirst.forEach((t, i) => (i % 2 === 0 ? bottom : top).push(t))
  return [...bottom, ...top.reverse()]
}

const packFrom = (chosen: readonly Millimetres[], existing: readonly Millimetres[]): Pack => {
  const left = new Map<number, number>()
  for (const t of existing) left.set(thicknessKey(t), (left.get(thicknessKey(t)) ?? 0) + 1)
  const putIn: Millimetres[] = []
  for (const t of chosen) {
    const have = left.get(thicknessKey(t)) ?? 0
    if (have > 0) left.set(thicknessKey(t), have - 1)
    else putIn.push(t)
  }
  const takeOut: Millimetres[] = []
  for (const t of existing) {
    const extra = left.get(thicknessKey(t)) ?? 0
    if (extra > 0) {
      takeOut.push(t)
      left.set(thicknessKey(t), extra - 1)
    }
  }
  return {
    total: chosen.reduce((s, t) => s + t, 0),
    shims: layThinBetweenThick(chosen),
    takeOut,
    putIn,
    changes: takeOut.length + putIn.length,
  }
}

/**
 * Every total that real packs can reach under one foot, each by the pack that handles the fewest
 * shims (then holds the fewest). At most `limit` shims a pack; leaving the pack alone always
 * counts, however it was built. Exhaustive over multisets of what lies there and what is in stock.
 */
export const reachablePacks = (
  existing: readonly Millimetres[],
  stock: readonly StockShim[],
  limit: number,
  maxPack: Millimetres,
): ReadonlyMap<number, Pack> => {
  const available = new Map<number, { thickness: Millimetres; count: number }>()
  const supply = [...stock, ...existing.map((thickness) => ({ thickness, count: 1 }))]
  for (const { thickness, count } of supply) {
    const key = thicknessKey(thickness)
    const known = available.get(key)
    available.set(key, { thickness, count: (known?.count ?? 0) + count })
  }
  const kinds = [...available.values()].filter((k) => k.count > 0)
  const best = new Map<number, Pack>()
  const offer = (pack: Pack) => {
    const key = thicknessKey(pack.total)
    const known = best.get(key)
    if (
      !known ||
      pack.changes < known.changes ||
      (pack.changes === known.changes && pack.shims.length < known.shims.length)
    )
      best.set(key, pack)
  }
  const chosen: Millimetres[] = []
  const choose = (from: number, total: Millimetres) => {
    offer(packFrom(chosen, existing))
    if (chosen.length === limit) return
    for (let k = from; k < kinds.length; k++) {
      const kind = kinds[k] as { thickness: Millimetres; count: number }
      if (thicknessKey(total + kind.thickness) > thicknessKey(maxPack)) continue
      if (chosen.filter((t) => t === kind.thickness).length >= kind.count) continue
      chosen.push(kind.thickness)
      choose(k, total + kind.thickness)
      chosen.pop()
    }
  }
  choose(0, 0)
  const untouched = packFrom(existing, existing)
  best.set(thicknessKey(untouched.total), { ...untouched, shims: existing })
  return best
}
