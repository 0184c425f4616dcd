import { clockVector } from '../frame/clock'
import type { Reading } from '../fit/harmonicFit'

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

/** The least-squares weights of a set of positions; the same fit as fitHarmonic, seen as a matrix. */
export const circleWeights = (readings: readonly Reading[]): CircleWeights => {
  const n = readings.length
  const c = new Float64Array(n)
  const s = new Float64Array(n)
  const groups = new Map<string, number[]>()
  readings.forEach((r, i) => {
    ;[c[i], s[i]] = clockVector(r.clock)
    const group = groups.get(r.group ?? '')
    if (group) group.push(i)
    else groups.set(r.group ?? '', [i])
  })
  for (const members of groups.values()) {
    const meanC = members.reduce((sum, i) => sum + (c[i] as number), 0) / members.length
    const meanS = members.reduce((sum, i) => sum + (s[i] as number), 0) / members.length
    for (const i of members) {
      c[i] = (c[i] as number) - meanC
      s[i] = (s[i] as number) - meanS
    }
  }
  let cc = 0
  let ss = 0
  let cs = 0
  for (let i = 0; i < n; i++) {
    cc += (c[i] as number) ** 2
    ss += (s[i] as number) ** 2
    cs += (c[i] as number) * (s[i] as number)
  }
  const det = cc * ss - cs * cs
  const both = det > 1e-4 * Math.max(cc, ss) ** 2
  const tellsV = both || cc > ss
  const tellsH = both || ss >= cc
  const cosWeights = new Float64Array(n)
  const sinWeights = new Float64Array(n)
  for (let i = 0; i < n; i++) {
    const x = c[i] as number
    const y = s[i] as number
    if (both) {
      cosWeights[i] = (ss * x - cs * y) / det
      sinWeights[i] = (cc * y - cs * x) / det
    } else if (tellsV) cosWeights[i] = x / cc
    else sinWeights[i] = y / ss
  }
  return { cos: cosWeights, sin: sinWeights, tellsV, tellsH }
}
