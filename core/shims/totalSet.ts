/** Totals that can be made, one bit each: thirty-two of them are laid on another leaf at a time. */
export class TotalSet {
  private readonly words: Uint32Array
  /** Bits of the last word that are within the size. */
  private readonly lastBits: number
  /** Words from here on are still empty. */
  private end = 0

  constructor(readonly size: number) {
    this.words = new Uint32Array((size + 31) >>> 5)
    const over = size & 31
    this.lastBits = over === 0 ? 0xffffffff : 2 ** over - 1
  }

  copy(): TotalSet {
    const copy = new TotalSet(this.size)
    copy.words.set(this.words)
    copy.end = this.end
    return copy
  }

  get empty(): boolean {
    return this.end === 0
  }

  has(total: number): boolean {
    return (
      total >= 0 && total < this.size && (((this.words[total >>> 5] as number) >>> (total & 31)) & 1) === 1
    )
  }

  add(total: number): void {
    if (total < 0 || total >= this.size) return
    const word = total >>> 5
    this.words[word] = (this.words[word] as number) | (1 << (total & 31))
    this.end = Math.max(this.end, word + 1)
  }

  /** Adds every total of another set of this size with a leaf of `by` on it; what is over the size falls away. */
  addShifted(from: TotalSet, by: number): void {
    const whole = Math.floor(by / 32)
    const bits = by & 31
    const count = this.words.length
    const { words } = this
    const other = from.words
    const last = Math.min(from.end, count - whole)
    if (last <= 0) return
    // From the top down, so that a set may be laid on itself once.
    if (bits === 0)
      for (let i = last - 1; i >= 0; i--)
        words[i + whole] = (words[i + whole] as number) | (other[i] as number)
    else {
      const back = 32 - bits
      if (last + whole < count)
        words[last + whole] = (words[last + whole] as number) | ((other[last - 1] as number) >>> back)
      for (let i = last - 1; i > 0; i--)
        words[i + whole] =
          (words[i + whole] as number) | ((other[i] as number) << bits) | ((other[i - 1] as number) >>> back)
      words[whole] = (words[whole] as number) | ((other[0] as number) << bits)
    }
    this.end = Math.max(this.end, Math.min(count, last + whole + (bits === 0 ? 0 : 1)))
    words[count - 1] = (words[count - 1] as number) & this.lastBits
  }

  /** Calls with every total of this set that `seen` doesn't hold yet, and adds it there. */
  takeNew(seen: TotalSet, each: (total: number) => void): void {
    for (let i = 0; i < this.end; i++) {
      let fresh = (this.words[i] as number) & ~(seen.words[i] as number)
      if (fresh === 0) continue
      seen.words[i] = (seen.words[i] as number) | fresh
      seen.end = Math.max(seen.end, i + 1)
      while (fresh !== 0) {
        const bit = 31 - Math.clz32(fresh & -fresh)
        each(32 * i + bit)
        fresh &= fresh - 1
      }
    }
  }
}
