/** Puts the k-th smallest of `list[from..to]` in its place, what is smaller before it (Hoare's selection). */
const select = (list: Float64Array, k: number, from: number, to: number): void => {
  let low = from
  let high = to
  while (low < high) {
    // The median of three keeps sorted and constant lists quick.
    const middle = (low + high) >> 1
    const [a, b, c] = [list[low] as number, list[middle] as number, list[high] as number]
    const pivot = a < b ? (b < c ? b : a < c ? c : a) : a < c ? a : b < c ? c : b
    let i = low
    let j = high
    while (i <= j) {
      while ((list[i] as number) < pivot) i++
      while ((list[j] as number) > pivot) j--
      if (i <= j) {
        const swap = list[i] as number
        list[i] = list[j] as number
        list[j] = swap
        i++
        j--
      }
    }
    if (k <= j) high = j
    else if (k >= i) low = i
    else return
  }
}

/**
 * Quantiles of a list, interpolated between neighbours, shares rising. Reorders the list; no full sort, so
 * that its cost grows with the list alone.
 */
export const quantiles = (list: Float64Array, shares: readonly number[]): readonly number[] => {
  const last = list.length - 1
  let from = 0
  return shares.map((share) => {
    const place = share * last
    const below = Math.floor(place)
    select(list, below, from, last)
    from = below
    const low = list[below] as number
    if (below === last || place === below) return low
    let above = Infinity
    for (let i = below + 1; i <= last; i++) if ((list[i] as number) < above) above = list[i] as number
    return low + (place - below) * (above - low)
  })
}
