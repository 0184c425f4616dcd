import type { FootPlane } from '../coupling/feet'
import { ALIGNED, type Misalignment } from '../frame/planes'
import { judgedQuantities } from '../judge/quantities'
import type { SettledTolerance } from '../judge/tolerance'
import { normalFrom, type Random } from '../random/random'
import {
  ERROR_COUNT,
  errorSpread,
  solveWithErrors,
  type ArrangementModel,
  type CircleModel,
} from './arrangementModel'
import { amplitudeCovariance } from './linear'
import type { Spread } from './spread'

/** A spread value: mean, standard deviation, and the 2.5 and 97.5 % quantiles. */
export interface SpreadValue {
  readonly mean: number
  readonly sd: number
  readonly low: number
  readonly high: number
}

export interface SpreadVH {
  readonly v: SpreadValue | null
  readonly h: SpreadValue | null
}

export interface MonteCarloInput {
  readonly model: ArrangementModel
  readonly feet: readonly FootPlane[]
  readonly target?: Misalignment
  readonly tolerance: SettledTolerance
  readonly sd: Spread
  readonly draws: number
  readonly random: Random
}

export interface MonteCarloResult {
  readonly coupling: { readonly offset: SpreadVH; readonly slope: SpreadVH }
  readonly feet: readonly { readonly id: string; readonly move: SpreadVH }[]
  /** Share of draws in which every judged quantity is inside after the planned move; null with an unknown plane. */
  readonly chanceInBand: number | null
  /** Judged quantities whose 95 % interval as measured is wider than their band. */
  readonly wide: readonly string[]
  readonly advice: 'move' | 'measure-again'
}

/** Mean, standard deviation and quantiles of a list of draws; sorts the list. */
const spreadOf = (draws: Float64Array): SpreadValue => {
  const n = draws.length
  let sum = 0
  for (let i = 0; i < n; i++) sum += draws[i] as number
  const mean = sum / n
  let squares = 0
  for (let i = 0; i < n; i++) squares += ((draws[i] as number) - mean) ** 2
  draws.sort()
  const at = (share: number) => {
    const place = share * (n - 1)
    const below = Math.floor(place)
    const low = draws[below] as number
    return low + (place - below) * ((draws[Math.min(n - 1, below + 1)] as number) - low)
  }
  return { mean, sd: Math.sqrt(squares / Math.max(1, n - 1)), low: at(0.025), high: at(0.975) }
}

const RADIAN = Math.PI / 180

/** Draws errors of a circle's amplitudes into two places of `errors`. */
const amplitudeDraw = (
  circle: CircleModel,
  sd: Spread,
  normal: Random,
): ((errors: Float64Array, at: number) => void) => {
  const n = circle.perRadian.length
  if (sd.clock === 0) {
    // Sums of normal errors are normal: two draws stand for all readings, exactly.
    const [aa, ab, bb] = amplitudeCovariance(circle, sd)
    const rootA = Math.sqrt(aa)
    const cross = rootA > 0 ? ab / rootA : 0
    const rootB = Math.sqrt(Math.max(0, bb - cross * cross))
    return (errors, at) => {
      const z = normal()
      errors[at] = rootA * z
      errors[at + 1] = cross * z + rootB * normal()
    }
  }
  return (errors, at) => {
    let a = 0
    let b = 0
    for (let i = 0; i < n; i++) {
      const angle = circle.clocks[i] as number
      const shown = angle + sd.clock * RADIAN * normal()
      // The pointer stood at `shown` while `angle` was written down.
      const error =
        sd.reading * normal() +
        circle.cos * (Math.cos(shown) - Math.cos(angle)) +
        circle.sin * (Math.sin(shown) - Math.sin(angle))
      a += (circle.weights.cos[i] as number) * error
      b += (circle.weights.sin[i] as number) * error
    }
    errors[at] = a
    errors[at + 1] = b
  }
}

/**
 * Monte Carlo over readings, clock angles, distances, sags, shims, side moves and settling. The
 * planned move is exact, `t(x) - d(x)` from the readings as they are; each draw then asks where
 * the machine would really stand after it. Millimetres, mm/mm. Repeats with the same `random`.
 */
export const monteCarlo = (input: MonteCarloInput): MonteCarloResult => {
  const { model, feet, tolerance, sd, draws } = input
  const target = input.target ?? ALIGNED
  const normal = normalFrom(input.random)
  const spreads = errorSpread(model, sd)
  const drawFirst = amplitudeDraw(model.circles[0], sd, normal)
  const drawSecond = amplitudeDraw(model.circles[1], sd, normal)
  const errors = new Float64Array(ERROR_COUNT)
  const nominal = new Float64Array(4)
  solveWithErrors(model, errors, nominal)
  const [oV, oH, sV, sH] = nominal as unknown as readonly [number, number, number, number]
  const goal = [target.offset.v ?? 0, target.offset.h ?? 0, target.slope.v ?? 0, target.slope.h ?? 0] as const

  const line = new Float64Array(4)
  const parts = [0, 1, 2, 3].map(() => new Float64Array(draws))
  const footMoves = feet.map(() => [new Float64Array(draws), new Float64Array(draws)] as const)
  const quantities = judgedQuantities(tolerance)
  const judgedDraws = quantities.map(() => new Float64Array(draws))
  const terms = quantities.flatMap((q, index) =>
    q.terms.map((t) => ({
      index,
      vector: q.terms.length > 1,
      offset: t.plane === 'v' ? 0 : 1,
      slope: t.plane === 'v' ? 2 : 3,
      offsetFactor: t.offsetFactor,
      slopeFactor: t.slopeFactor,
      fromTarget: t.fromTarget ? 1 : 0,
      low: t.band[0] ?? -Infinity,
      high: t.band[1] ?? Infinity,
    })),
  )
  const known = model.tellsV && model.tellsH
  const n = feet.length
  const footX = Float64Array.from(feet, (f) => f.x)
  const plannedV = Float64Array.from(feet, (f) => goal[0] - oV + (goal[2] - sV) * f.x)
  const plannedH = Float64Array.from(feet, (f) => goal[1] - oH + (goal[3] - sH) * f.x)
  const vertical = Math.hypot(sd.shim, sd.settling)
  const after = new Float64Array(4)
  const sums = new Float64Array(quantities.length)
  let inside = 0

  for (let d = 0; d < draws; d++) {
    drawFirst(errors, 0)
    drawSecond(errors, 5)
    for (let e = 0; e < ERROR_COUNT; e++)
      if ((spreads[e] as number) > 0) errors[e] = (spreads[e] as number) * normal()
    solveWithErrors(model, errors, line)
    for (let k = 0; k < 4; k++) (parts[k] as Float64Array)[d] = line[k] as number

    // The same moves at the feet, done with their own errors where the feet really stand.
    let sx = 0
    let sxx = 0
    let v0 = 0
    let v1 = 0
    let h0 = 0
    let h1 = 0
    for (let f = 0; f < n; f++) {
      const nominalX = footX[f] as number
      const x = sd.distance > 0 ? nominalX + sd.distance * normal() : nominalX
      const moves = footMoves[f] as readonly [Float64Array, Float64Array]
      moves[0][d] = goal[0] - (line[0] as number) + (goal[2] - (line[2] as number)) * x
      moves[1][d] = goal[1] - (line[1] as number) + (goal[3] - (line[3] as number)) * x
      const v = (plannedV[f] as number) + (vertical > 0 ? vertical * normal() : 0)
      const h = (plannedH[f] as number) + (sd.side > 0 ? sd.side * normal() : 0)
      sx += x
      sxx += x * x
      v0 += v
      v1 += v * x
      h0 += h
      h1 += h * x
    }
    if (n >= 2) {
      const det = n * sxx - sx * sx
      const slopeV = (n * v1 - sx * v0) / det
      const slopeH = (n * h1 - sx * h0) / det
      after[0] = (line[0] as number) + (v0 - slopeV * sx) / n
      after[1] = (line[1] as number) + (h0 - slopeH * sx) / n
      after[2] = (line[2] as number) + slopeV
      after[3] = (line[3] as number) + slopeH
    }
    let all = true
    sums.fill(0)
    for (const t of terms) {
      const value =
        t.offsetFactor * ((after[t.offset] as number) - t.fromTarget * goal[t.offset as 0 | 1]) +
        t.slopeFactor * ((after[t.slope] as number) - t.fromTarget * goal[t.slope as 2 | 3])
      const measured =
        t.offsetFactor * ((line[t.offset] as number) - t.fromTarget * goal[t.offset as 0 | 1]) +
        t.slopeFactor * ((line[t.slope] as number) - t.fromTarget * goal[t.slope as 2 | 3])
      const own = judgedDraws[t.index] as Float64Array
      if (t.vector) {
        sums[t.index] = (sums[t.index] as number) + value * value
        own[d] = (own[d] as number) + measured * measured
        if ((sums[t.index] as number) > t.high * t.high) all = false
      } else {
        own[d] = measured
        if (value < t.low || value > t.high) all = false
      }
    }
    if (all) inside++
  }

  const of = (tells: boolean, list: Float64Array) => (tells ? spreadOf(list) : null)
  const wide = quantities.flatMap((q, i) => {
    const [first] = q.terms
    if (!first || !(first.plane === 'v' ? model.tellsV : model.tellsH)) return []
    const own = judgedDraws[i] as Float64Array
    const vector = q.terms.length > 1
    if (vector) for (let d = 0; d < draws; d++) own[d] = Math.sqrt(own[d] as number)
    const [low, high] = vector ? ([0, first.band[1]] as const) : first.band
    if (low === null || high === null) return []
    const spread = spreadOf(own)
    return spread.high - spread.low > high - low ? [q.name] : []
  })
  const pair = (v: Float64Array, h: Float64Array): SpreadVH => ({
    v: of(model.tellsV, v),
    h: of(model.tellsH, h),
  })
  return {
    coupling: {
      offset: pair(parts[0] as Float64Array, parts[1] as Float64Array),
      slope: pair(parts[2] as Float64Array, parts[3] as Float64Array),
    },
    feet: feet.map(({ id }, f) => {
      const moves = footMoves[f] as readonly [Float64Array, Float64Array]
      return { id, move: pair(moves[0], moves[1]) }
    }),
    chanceInBand: known ? inside / draws : null,
    wide,
    advice: wide.length > 0 || !known ? 'measure-again' : 'move',
  }
}
