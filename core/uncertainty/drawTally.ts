import { selectRank } from '../statistics/quantile'
import type { LineCovariance } from './linear'
import type { LineColumns } from './lineModel'

/** A spread value: mean, standard deviation, and the 2.5 and 97.5 % quantiles. */
export interface SpreadValue {
  readonly mean: number
  readonly sd: number
  readonly low: number
  readonly high: number
}

/** Share in either tail of a 95 % interval. */
const TAIL = 0.025
/**
 * Share of the first block's draws taken for a tail. All later draws beyond the value found there are
 * kept: that they are fewer than a fortieth would be six and a half standard deviations off.
 */
const KEPT = 0.08

/** Draws beyond a bound, as many as come. */
class Kept {
  private list = new Float64Array(1024)
  private count = 0

  push(x: number): void {
    if (this.count === this.list.length) {
      const more = new Float64Array(2 * this.count)
      more.set(this.list)
      this.list = more
    }
    this.list[this.count++] = x
  }

  /** Between the draws of rank floor(place) and the next, interpolated; rank 0 the smallest kept. */
  at(place: number): number {
    const kept = this.list.subarray(0, this.count)
    const below = Math.floor(place)
    const low = selectRank(kept, below)
    if (place === below) return low
    let next = Infinity
    for (let i = below + 1; i < kept.length; i++) next = Math.min(next, kept[i] as number)
    return low + (place - below) * (next - low)
  }
}

/**
 * Draws of one number, block by block: summed as they come, and of the tails enough is kept that the
 * quantiles at the end are those of all draws, without a list of them and without a sort.
 */
export class DrawTally {
  private readonly low = new Kept()
  /** Kept turned over, so that both tails are looked into alike. */
  private readonly high = new Kept()
  private draws = 0
  private origin = 0
  private lowBound = 0
  private highBound = 0
  private sum = 0
  private squares = 0

  /** Adds the first `count` draws of a block. */
  add(block: Float64Array, count: number): void {
    if (this.draws === 0) this.startFrom(block, count)
    this.draws += count
    const { origin, lowBound, highBound } = this
    let sum = 0
    let squares = 0
    for (let i = 0; i < count; i++) {
      const x = block[i] as number
      const off = x - origin
      sum += off
      squares += off * off
      if (x <= lowBound) this.low.push(x)
      if (x >= highBound) this.high.push(-x)
    }
    this.sum += sum
    this.squares += squares
  }

  /** What was added, taken together. */
  spread(): SpreadValue {
    const { draws, sum, squares, origin } = this
    const variance = Math.max(0, squares - (sum * sum) / draws) / Math.max(1, draws - 1)
    const place = TAIL * (draws - 1)
    return {
      mean: origin + sum / draws,
      sd: Math.sqrt(variance),
      low: this.low.at(place),
      high: 0 - this.high.at(place),
    }
  }

  /** Sums are taken about the first block's mean, so that nothing is lost where the spread is small. */
  private startFrom(block: Float64Array, count: number): void {
    const first = block.slice(0, count)
    let sum = 0
    for (let i = 0; i < count; i++) sum += first[i] as number
    this.origin = sum / count
    const rank = Math.floor(KEPT * (count - 1))
    this.highBound = selectRank(first, count - 1 - rank)
    this.lowBound = selectRank(first, rank)
    // With a handful of draws a tail reaches to the next one.
    if (count < 100) [this.lowBound, this.highBound] = [Infinity, -Infinity]
  }
}

/** Covariance of the line's four numbers, block by block. */
export class LineTally {
  private readonly origin = new Float64Array(4)
  private readonly sums = new Float64Array(4)
  private readonly products = new Float64Array(10)
  private draws = 0

  add(lines: LineColumns, count: number): void {
    const { origin, sums, products } = this
    const [a, b, c, d] = lines
    if (this.draws === 0) lines.forEach((line, k) => (origin[k] = line[0] as number))
    this.draws += count
    const a0 = origin[0] as number
    const b0 = origin[1] as number
    const c0 = origin[2] as number
    const d0 = origin[3] as number
    let [sa, sb, sc, sd] = [0, 0, 0, 0]
    let [aa, ab, ac, ad, bb, bc, bd, cc, cd, dd] = [0, 0, 0, 0, 0, 0, 0, 0, 0, 0]
    for (let i = 0; i < count; i++) {
      const w = (a[i] as number) - a0
      const x = (b[i] as number) - b0
      const y = (c[i] as number) - c0
      const z = (d[i] as number) - d0
      sa += w
      sb += x
      sc += y
      sd += z
      aa += w * w
      ab += w * x
      ac += w * y
      ad += w * z
      bb += x * x
      bc += x * y
      bd += x * z
      cc += y * y
      cd += y * z
      dd += z * z
    }
    ;[sa, sb, sc, sd].forEach((s, k) => (sums[k] = (sums[k] as number) + s))
    ;[aa, ab, ac, ad, bb, bc, bd, cc, cd, dd].forEach((s, k) => (products[k] = (products[k] as number) + s))
  }

  covariance(): LineCovariance {
    const { sums, products, draws } = this
    const out = new Float64Array(16)
    let at = 0
    for (let j = 0; j < 4; j++)
      for (let k = j; k < 4; k++) {
        const about = ((sums[j] as number) * (sums[k] as number)) / draws
        out[4 * j + k] = out[4 * k + j] = ((products[at++] as number) - about) / Math.max(1, draws - 1)
      }
    return out
  }
}
