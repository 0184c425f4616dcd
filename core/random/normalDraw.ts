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

/**
 * Many normal draws, mean 0 and standard deviation 1, by the ziggurat method over a 128-bit generator
 * (sfc32): a draw costs two mixes of 32 bits and a comparison nearly always. Layer and value come from
 * different mixes, so that they don't hang together. Seeded from `random`; repeats with it.
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
    let [a = 0, b = 0, c = 0, counter = 0] = this.state
    for (let at = 0; at < list.length; at++)
      for (;;) {
        // Twice the mix of sfc32, for the value and for its layer.
        const value = (((a + b) | 0) + counter) | 0
        a = b ^ (b >>> 9)
        b = (c + (c << 3)) | 0
        c = (((c << 21) | (c >>> 11)) + value) | 0
        const layer = (((a + b) | 0) + ((counter + 1) | 0)) | 0
        a = b ^ (b >>> 9)
        b = (c + (c << 3)) | 0
        c = (((c << 21) | (c >>> 11)) + layer) | 0
        counter = (counter + 2) | 0

        const i = layer & (LAYERS - 1)
        const u = value / 2147483648
        if (Math.abs(u) < (RATIO[i] as number)) {
          list[at] = u * (X[i] as number)
          break
        }
        this.state[0] = a
        this.state[1] = b
        this.state[2] = c
        this.state[3] = counter
        const drawn = i === 0 ? this.beyondEdge(u < 0) : this.inWedge(u, i)
        a = this.state[0] as number
        b = this.state[1] as number
        c = this.state[2] as number
        counter = this.state[3] as number
        if (drawn === null) continue
        list[at] = drawn
        break
      }
    this.state[0] = a
    this.state[1] = b
    this.state[2] = c
    this.state[3] = counter
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
