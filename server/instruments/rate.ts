/** So many a second may pass, with a burst of twice that. */
export class Rate {
  #left: number
  #at: number

  constructor(
    private readonly perSecond: number,
    now: number,
  ) {
    this.#left = 2 * perSecond
    this.#at = now
  }

  /** Whether one more may pass at this moment, in milliseconds. */
  pass(now: number): boolean {
    this.#left = Math.min(2 * this.perSecond, this.#left + ((now - this.#at) / 1000) * this.perSecond)
    this.#at = now
    if (this.#left < 1) return false
    this.#left -= 1
    return true
  }
}
