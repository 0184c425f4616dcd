import { lineOfMoves, type FootPlane } from '../coupling/feet'
import { ALIGNED, lineSum, type Misalignment } from '../frame/planes'
import { judgedQuantities } from '../judge/quantities'
import type { SettledTolerance } from '../judge/tolerance'
import { NormalDraws } from '../random/normalDraw'
import type { Random } from '../random/random'
import { quantiles } from '../statistics/quantile'
import { ERROR_COUNT, errorSpread, solveWithErrors, type ArrangementModel } from './arrangementModel'
import { amplitudeErrors } from './amplitudeErrors'
import { chanceInBand } from './chance'
import { covarianceAfterMove, type LineCovariance } from './linear'
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
  /** Of the line as measured, from the draws. */
  readonly covariance: LineCovariance
  /** Share of draws in which every judged quantity is inside after the planned move; null with an unknown plane. */
  readonly chanceInBand: number | null
  /** Judged quantities whose 95 % interval as measured is wider than their band. */
  readonly wide: readonly string[]
  readonly advice: 'move' | 'measure-again'
}

const EVEN = 0.5

/** Chance to end in band when the measurement was exactly right, by linear propagation of what the move leaves open. */
const chanceOfMove = (
  { feet, sd, tolerance, target = ALIGNED }: MonteCarloInput,
  nominal: Float64Array,
  v: Float64Array,
  h: Float64Array,
): number => {
  const last = feet.length - 1
  const [near, far] = [feet[0], feet[last]]
  if (!near || !far || near === far) return 1
  const at = (i: number) => ({ v: v[i] as number, h: h[i] as number })
  const covariance = covarianceAfterMove(new Float64Array(16), [near, far], [at(0), at(last)], sd)
  const [ov = 0, oh = 0, sv = 0, sh = 0] = nominal
  const from: Misalignment = { offset: { v: ov, h: oh }, slope: { v: sv, h: sh } }
  const moved = lineSum(from, lineOfMoves(feet.map((f, i) => ({ ...f, ...at(i) }))))
  return chanceInBand(moved, covariance, tolerance, target)
}

/** Covariance of the line's four numbers over all draws. */
const covarianceOf = (parts: readonly Float64Array[]): LineCovariance => {
  const [a, b, c, d] = parts as unknown as readonly [Float64Array, Float64Array, Float64Array, Float64Array]
  const n = a.length
  // About the first draw, so that nothing is lost where the spread is small beside the value.
  const [a0, b0, c0, d0] = [a[0] as number, b[0] as number, c[0] as number, d[0] as number]
  const sums = new Float64Array(4)
  const out = new Float64Array(16)
  for (let i = 0; i < n; i++) {
    const w = (a[i] as number) - a0
    const x = (b[i] as number) - b0
    const y = (c[i] as number) - c0
    const z = (d[i] as number) - d0
    sums[0] = (sums[0] as number) + w
    sums[1] = (sums[1] as number) + x
    sums[2] = (sums[2] as number) + y
    sums[3] = (sums[3] as number) + z
    out[0] = (out[0] as number) + w * w
    out[1] = (out[1] as number) + w * x
    out[2] = (out[2] as number) + w * y
    out[3] = (out[3] as number) + w * z
    out[5] = (out[5] as number) + x * x
    out[6] = (out[6] as number) + x * y
    out[7] = (out[7] as number) + x * z
    out[10] = (out[10] as number) + y * y
    out[11] = (out[11] as number) + y * z
    out[15] = (out[15] as number) + z * z
  }
  for (let j = 0; j < 4; j++)
    for (let k = j; k < 4; k++) {
      const about = ((sums[j] as number) * (sums[k] as number)) / n
      out[4 * j + k] = out[4 * k + j] = ((out[4 * j + k] as number) - about) / Math.max(1, n - 1)
    }
  return out
}

/** Mean, standard deviation and quantiles of a list of draws; reorders the list. */
const spreadOf = (draws: Float64Array): SpreadValue => {
  const n = draws.length
  let sum = 0
  for (let i = 0; i < n; i++) sum += draws[i] as number
  const mean = sum / n
  let squares = 0
  for (let i = 0; i < n; i++) squares += ((draws[i] as number) - mean) ** 2
  const [low, high] = quantiles(draws, [0.025, 0.975]) as [number, number]
  return { mean, sd: Math.sqrt(squares / Math.max(1, n - 1)), low, high }
}

/** Draws worked out at once. */
const BLOCK = 256

/**
 * Monte Carlo over readings, clock angles, distances, sags, shims, side moves and settling. The
 * planned move is exact, `t(x) - d(x)` from the readings as they are; each draw then asks where
 * the machine would really stand after it. Millimetres, mm/mm. Repeats with the same `random`.
 */
export const monteCarlo = (input: MonteCarloInput): MonteCarloResult => {
  const { model, feet, tolerance, sd, draws } = input
  const target = input.target ?? ALIGNED
  const spreads = errorSpread(model, sd)
  const amplitudes = amplitudeErrors(model, sd)
  const errors = new Float64Array(ERROR_COUNT)
  const solve = solveWithErrors
  const nominal = new Float64Array(4)
  solveWithErrors(model, errors, nominal)
  const [oV, oH, sV, sH] = nominal as unknown as readonly [number, number, number, number]
  const goal = [target.offset.v ?? 0, target.offset.h ?? 0, target.slope.v ?? 0, target.slope.h ?? 0] as const

  const line = new Float64Array(4)
  const parts = [0, 1, 2, 3].map(() => new Float64Array(draws))
  const footV = feet.map(() => new Float64Array(draws))
  const footH = feet.map(() => new Float64Array(draws))
  const quantities = judgedQuantities(tolerance)
  const vector = quantities.some((q) => q.terms.length > 1)
  // A quantity that is one of the line's own numbers spreads as that does.
  const isOwnNumber = quantities.map(
    ({ terms: [t] }) => !vector && !!t && t.offsetFactor * t.slopeFactor === 0,
  )
  const judgedDraws = isOwnNumber.map((own) => (own ? null : new Float64Array(draws)))
  const terms = quantities.flatMap((q, index) => q.terms.map((term) => ({ index, term })))
  const termOf = Int32Array.from(terms, (t) => t.index)
  const offsetAt = Int32Array.from(terms, (t) => (t.term.plane === 'v' ? 0 : 1))
  const offsetFactor = Float64Array.from(terms, (t) => t.term.offsetFactor)
  const slopeFactor = Float64Array.from(terms, (t) => t.term.slopeFactor)
  const shift = Float64Array.from(terms, ({ term: t }) =>
    t.fromTarget
      ? t.offsetFactor * (target.offset[t.plane] ?? 0) + t.slopeFactor * (target.slope[t.plane] ?? 0)
      : 0,
  )
  const low = Float64Array.from(terms, (t) => t.term.band[0] ?? -Infinity)
  const high = Float64Array.from(terms, (t) => t.term.band[1] ?? Infinity)
  const uncertain = Int32Array.from(Array.from(spreads.keys()).filter((e) => (spreads[e] as number) > 0))
  const known = model.tellsV && model.tellsH
  const n = feet.length
  const footX = Float64Array.from(feet, (f) => f.x)
  const plannedV = Float64Array.from(feet, (f) => goal[0] - oV + (goal[2] - sV) * f.x)
  const plannedH = Float64Array.from(feet, (f) => goal[1] - oH + (goal[3] - sH) * f.x)
  const vertical = Math.hypot(sd.shim, sd.settling)
  const after = new Float64Array(4)
  const sums = new Float64Array(quantities.length)
  const moved = new Float64Array(4)
  let inside = 0

  const [partOV, partOH, partSV, partSH] = parts as unknown as readonly [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ]
  const each = amplitudes.count + uncertain.length + 3 * n
  const z = new Float64Array(BLOCK * each)
  const normal = new NormalDraws(input.random)

  for (let d = 0; d < draws; d++) {
    let p = (d % BLOCK) * each
    if (p === 0) normal.fill(z)
    amplitudes.into(errors, z, p)
    p += amplitudes.count
    for (let i = 0; i < uncertain.length; i++) {
      const e = uncertain[i] as number
      errors[e] = (spreads[e] as number) * (z[p++] as number)
    }
    solve(model, errors, line)
    partOV[d] = line[0] as number
    partOH[d] = line[1] as number
    partSV[d] = line[2] as number
    partSH[d] = line[3] as number

    // The same moves at the feet, done with their own errors where the feet really stand.
    let sx = 0
    let sxx = 0
    let v0 = 0
    let v1 = 0
    let h0 = 0
    let h1 = 0
    for (let f = 0; f < n; f++) {
      const nominalX = footX[f] as number
      const x = nominalX + sd.distance * (z[p++] as number)
      ;(footV[f] as Float64Array)[d] = goal[0] - (line[0] as number) + (goal[2] - (line[2] as number)) * x
      ;(footH[f] as Float64Array)[d] = goal[1] - (line[1] as number) + (goal[3] - (line[3] as number)) * x
      const v = (plannedV[f] as number) + vertical * (z[p++] as number)
      const h = (plannedH[f] as number) + sd.side * (z[p++] as number)
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
      moved[0] = (v0 - slopeV * sx) / n
      moved[1] = (h0 - slopeH * sx) / n
      moved[2] = slopeV
      moved[3] = slopeH
    }
    for (let k = 0; k < 4; k++) after[k] = (line[k] as number) + (moved[k] as number)
    let all = true
    sums.fill(0)
    for (let t = 0; t < terms.length; t++) {
      const index = termOf[t] as number
      const o = offsetAt[t] as number
      const fo = offsetFactor[t] as number
      const fs = slopeFactor[t] as number
      const off = shift[t] as number
      const value = fo * (after[o] as number) + fs * (after[o + 2] as number) - off
      const own = judgedDraws[index]
      if (own) {
        const measured = fo * (line[o] as number) + fs * (line[o + 2] as number) - off
        if (vector) own[d] = (own[d] as number) + measured * measured
        else own[d] = measured
      }
      if (vector) {
        sums[index] = (sums[index] as number) + value * value
        if ((sums[index] as number) > (high[t] as number) ** 2) all = false
      } else if (value < (low[t] as number) || value > (high[t] as number)) all = false
    }
    if (all) inside++
  }

  const covariance = covarianceOf(parts)
  const chance = inside / draws
  // Below even odds only because of the measuring: a better measurement is worth more than the move.
  const measuring = chance < EVEN && chanceOfMove(input, nominal, plannedV, plannedH) >= EVEN
  const of = (tells: boolean, list: Float64Array) => (tells ? spreadOf(list) : null)
  const pair = (v: Float64Array, h: Float64Array): SpreadVH => ({
    v: of(model.tellsV, v),
    h: of(model.tellsH, h),
  })
  const coupling = {
    offset: pair(parts[0] as Float64Array, parts[1] as Float64Array),
    slope: pair(parts[2] as Float64Array, parts[3] as Float64Array),
  }
  const wide = quantities.flatMap((q, i) => {
    const [first] = q.terms
    if (!first || !(first.plane === 'v' ? model.tellsV : model.tellsH)) return []
    const [from, to] = vector ? ([0, first.band[1]] as const) : first.band
    if (from === null || to === null) return []
    const own = judgedDraws[i]
    if (own && vector) for (let d = 0; d < draws; d++) own[d] = Math.sqrt(own[d] as number)
    const part = first.slopeFactor === 0 ? coupling.offset[first.plane] : coupling.slope[first.plane]
    const factor = Math.abs(first.slopeFactor === 0 ? first.offsetFactor : first.slopeFactor)
    const spread = own ? spreadOf(own) : part
    const width = spread ? (spread.high - spread.low) * (own ? 1 : factor) : 0
    return width > to - from ? [q.name] : []
  })
  return {
    coupling,
    feet: feet.map(({ id }, f) => {
      return { id, move: pair(footV[f] as Float64Array, footH[f] as Float64Array) }
    }),
    covariance,
    chanceInBand: known ? chance : null,
    wide,
    advice: wide.length > 0 || measuring || !known ? 'measure-again' : 'move',
  }
}
