/**
 * Cuts bytes into lines. A line longer than `longest` bytes is given up as `overlong` once, and what follows it up
 * to its end is thrown away: a sender without line breaks fills nothing.
 */
export class LineReader {
  #rest = Buffer.alloc(0)
  #skipping = false

  constructor(
    private readonly longest: number,
    private readonly line: (text: string) => void,
    private readonly overlong: () => void,
  ) {}

  /** Takes what came. */
  take(bytes: Buffer): void {
    let from = 0
    for (;;) {
      const end = bytes.indexOf(10, from)
      if (end < 0) break
      this.#end(bytes.subarray(from, end))
      from = end + 1
    }
    this.#keep(bytes.subarray(from))
  }

  #keep(part: Buffer): void {
    if (this.#skipping) return
    if (this.#rest.length + part.length > this.longest) {
      this.#rest = Buffer.alloc(0)
      this.#skipping = true
      this.overlong()
    } else this.#rest = Buffer.concat([this.#rest, part])
  }

  #end(part: Buffer): void {
    this.#keep(part)
    const whole = this.#rest
    this.#rest = Buffer.alloc(0)
    if (this.#skipping) {
      this.#skipping = false
      return
    }
    const text = whole.toString('utf8').trim()
    if (text !== '') this.line(text)
  }
}
