import type { Random } from './random'

/** Layers of the ziggurat, its rightmost edge, and the area of each layer. */
const LAYERS = 128
const EDGE = 3.442619855899
const AREA = 9.91256303526217e-3

const X = new Float64Array(LAYERS + 1)
const RATIO = new Float64Array(LAYERS)
{
  let f = Math.exp((-EDGE * EDGE) / 2)
  X[0] = AREA / f
  X[1] = EDGE
  for (let i = 2; i < LAYERS; i++) {
    X[i] = Math.sqrt(-2 * Math.log(AREA / (X[i - 1] as number) + f))
    f = Math.exp(-((X[i] as number) ** 2) / 2)
  }
  for (let i = 0; i < LAYERS; i++) RATIO[i] = (X[i + 1] as number) / (X[i] as number)
}

/** Bits that choose the layer; the others make a signed value of this half range. */
const LAYER_BITS = 7
const HALF = 2 ** (31 - LAYER_BITS)
/** Values nearer to 0 than this lie in the layer for certain; and what one step of the value is worth in it. */
const INSIDE = RATIO.map((r) => r * HALF)
const WIDTH = Float64Array.from(RATIO, (_, i) => (X[i] as number) / HALF)

/**
 * Many normal draws, mean 0 and standard deviation 1, by the ziggurat method over a 128-bit generator
 * (sfc32): a draw costs one mix of 32 bits and a comparison nearly always. Layer and value come from
 * different bits of it; a value has 25 bits, a step of 2e-7 standard deviations at most. Seeded from `random`; repeats with it.
 */
export class NormalDraws {
  private readonly state = new Int32Array(4)

  constructor(random: Random) {
    for (let i = 0; i < 3; i++) this.state[i] = (random() * 4294967296) | 0
    this.state[3] = 1
    // The first mixes still show the seed.
    this.fill(new Float64Array(16))
  }

  /** Fills a list; the whole list at once, with the generator in local variables: that is what makes it quick. */
  fill(list: Float64Array): void {
    const state = this.state
    let a = state[0] as number
    let b = state[1] as number
    let c = state[2] as number
    let counter = state[3] as number
    const count = list.length
    for (let at = 0; at < count; at++) {
      const bits = (((a + b) | 0) + counter) | 0
      a = b ^ (b >>> 9)
      b = (c + (c << 3)) | 0
      c = (((c << 21) | (c >>> 11)) + bits) | 0
      counter = (counter + 1) | 0
      // The layer from the lowest seven bits, the value from the others: they don't hang together.
      const layer = bits & (LAYERS - 1)
      const value = bits >> LAYER_BITS
      if ((value < 0 ? -value : value) < (INSIDE[layer] as number)) {
        list[at] = value * (WIDTH[layer] as number)
        continue
      }
      state[0] = a
      state[1] = b
      state[2] = c
      state[3] = counter
      const u = value / HALF
      const drawn = layer === 0 ? this.beyondEdge(u < 0) : this.inWedge(u, layer)
      a = state[0] as number
      b = state[1] as number
      c = state[2] as number
      counter = state[3] as number
      if (drawn === null) at--
      else list[at] = drawn
    }
    state[0] = a
    state[1] = b
    state[2] = c
    state[3] = counter
  }

  /** Evenly spread, above 0, at most 1. */
  private share(): number {
    const s = this.state
    const [a = 0, b = 0, c = 0, counter = 0] = s
    const t = (((a + b) | 0) + counter) | 0
    s[0] = b ^ (b >>> 9)
    s[1] = (c + (c << 3)) | 0
    s[2] = (((c << 21) | (c >>> 11)) + t) | 0
    s[3] = (counter + 1) | 0
    return ((t >>> 0) + 1) / 4294967296
  }

  /** Beyond the ziggurat's edge, or null to draw again. */
  private beyondEdge(negative: boolean): number | null {
    const x = Math.log(this.share()) / EDGE
    if (-2 * Math.log(this.share()) < x * x) return null
    return negative ? x - EDGE : EDGE - x
  }

  /** Between a layer and the curve, or null to draw again. */
  private inWedge(u: number, i: number): number | null {
    const edge = X[i] as number
    const x = u * edge
    const high = Math.exp((edge * edge - x * x) / -2)
    const low = Math.exp(((X[i + 1] as number) ** 2 - x * x) / -2)
    return low + this.share() * (high - low) < 1 ? x : null
  }
}
