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

/** The k-th smallest of a list, 0 the smallest; reorders the list. Its cost grows with the list alone. */
export const selectRank = (list: Float64Array, k: number): number => {
  select(list, k, 0, list.length - 1)
  return list[k] as number
}
