import type { Reading } from './harmonicFit'
import { clockVector } from '../frame/clock'

/**
 * How much each reading weighs in a circle's cosine and sine amplitude: `a = sum(cos[i] * r[i])`,
 * `b = sum(sin[i] * r[i])`. A plane the positions can't tell has weights of zero.
 */
export interface CircleWeights {
  readonly cos: Float64Array
  readonly sin: Float64Array
  readonly tellsV: boolean
  readonly tellsH: boolean
}

/** Cosine and sine of each position, less the means of its zero group, and the group's number. */
interface CentredPositions {
  readonly c: Float64Array
  readonly s: Float64Array
  readonly group: Int32Array
  readonly groupSize: Float64Array
}

const centredPositions = (readings: readonly Reading[]): CentredPositions => {
  const n = readings.length
  const c = new Float64Array(n)
  const s = new Float64Array(n)
  const names: string[] = []
  const group = Int32Array.from(readings, (r) => {
    const name = r.group ?? ''
    const known = names.indexOf(name)
    return known >= 0 ? known : names.push(name) - 1
  })
  const groupSize = new Float64Array(names.length)
  const meanC = new Float64Array(names.length)
  const meanS = new Float64Array(names.length)
  readings.forEach((r, i) => {
    const g = group[i] as number
    ;[c[i], s[i]] = clockVector(r.clock)
    groupSize[g] = (groupSize[g] as number) + 1
    meanC[g] = (meanC[g] as number) + (c[i] as number)
    meanS[g] = (meanS[g] as number) + (s[i] as number)
  })
  for (let i = 0; i < n; i++) {
    const g = group[i] as number
    c[i] = (c[i] as number) - (meanC[g] as number) / (groupSize[g] as number)
    s[i] = (s[i] as number) - (meanS[g] as number) / (groupSize[g] as number)
  }
  return { c, s, group, groupSize }
}

/** The least-squares weights of a set of positions; the same fit as fitHarmonic, seen as a matrix. */
export const circleWeights = (readings: readonly Reading[]): CircleWeights =>
  weightsOf(centredPositions(readings))

const weightsOf = ({ c, s }: CentredPositions): CircleWeights => {
  let cc = 0
  let ss = 0
  let cs = 0
  for (let i = 0; i < c.length; i++) {
    cc += (c[i] as number) ** 2
    ss += (s[i] as number) ** 2
    cs += (c[i] as number) * (s[i] as number)
  }
  const det = cc * ss - cs * cs
  const both = det > 1e-4 * Math.max(cc, ss) ** 2
  const tellsV = both || cc > ss
  const tellsH = both || ss >= cc
  const cos = c.map((x, i) => (both ? (ss * x - cs * (s[i] as number)) / det : tellsV ? x / cc : 0))
  const sin = s.map((y, i) => (both ? (cc * y - cs * (c[i] as number)) / det : tellsV ? 0 : y / ss))
  return { cos, sin, tellsV, tellsH }
}

/**
 * One circle solved ahead of its readings. Positions stay while digits are typed, so the amplitudes
 * are fixed sums of the readings. `solve` allocates nothing.
 */
export class CircleSolver {
  /** Write readings here, millimetres. */
  readonly readings: Float64Array
  /** Cosine and sine amplitude of the last solve, and its root mean square residual. */
  cos = 0
  sin = 0
  residualRms = 0
  private readonly weights: CircleWeights
  private readonly positions: CentredPositions
  private readonly sums: Float64Array
  private readonly takenOut: Float64Array

  /** `takenOut` goes off each reading as it is written: a still hub's surface. */
  constructor(readings: readonly Reading[], takenOut?: readonly number[]) {
    this.takenOut = Float64Array.from(readings, (_, i) => takenOut?.[i] ?? 0)
    this.readings = Float64Array.from(readings, (r, i) => r.value + (this.takenOut[i] as number))
    this.positions = centredPositions(readings)
    this.weights = weightsOf(this.positions)
    this.sums = new Float64Array(this.positions.groupSize.length)
  }

  solve(): void {
    const { readings, sums, takenOut } = this
    const { c, s, group, groupSize } = this.positions
    const { cos, sin } = this.weights
    let a = 0
    let b = 0
    sums.fill(0)
    for (let i = 0; i < readings.length; i++) {
      const r = (readings[i] as number) - (takenOut[i] as number)
      const g = group[i] as number
      a += (cos[i] as number) * r
      b += (sin[i] as number) * r
      sums[g] = (sums[g] as number) + r
    }
    let squares = 0
    for (let i = 0; i < readings.length; i++) {
      const g = group[i] as number
      const mean = (sums[g] as number) / (groupSize[g] as number)
      const left =
        (readings[i] as number) - (takenOut[i] as number) - mean - a * (c[i] as number) - b * (s[i] as number)
      squares += left * left
    }
    this.cos = a
    this.sin = b
    this.residualRms = Math.sqrt(squares / readings.length)
  }
}
