import type { StockShim } from '../shims/leafKinds'

/**
 * A shelf dealt out to foot pairs: of every kind each foot gets as many as go round, and what is left over
 * is dealt on, two by two for the left and the right foot of a pair, the next kind to the next pair. Whatever
 * packs a pair then makes of its own share, the shelf can supply all of them. A locked pair gets nothing.
 */
export const fairShares = (
  pairs: readonly { readonly locked?: boolean }[],
  stock: readonly StockShim[],
): readonly (readonly StockShim[])[] => {
  const open = pairs.flatMap((p, i) => (p.locked ? [] : [i]))
  const shares = pairs.map((): StockShim[] => [])
  let next = 0
  for (const kind of [...stock].sort((a, b) => b.thickness - a.thickness)) {
    const round = Math.floor(kind.count / (2 * open.length))
    const over = Math.floor((kind.count - round * 2 * open.length) / 2)
    open.forEach((pair, n) => {
      const more = (n - next + open.length) % open.length < over ? 1 : 0
      if (round + more > 0) shares[pair]?.push({ ...kind, count: round + more })
    })
    if (open.length > 0) next = (next + over) % open.length
  }
  return shares
}
