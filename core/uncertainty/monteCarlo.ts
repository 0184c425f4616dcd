import { lineOfMoves, type FootPlane } from '../coupling/feet'
import { ALIGNED, lineSum, type Misalignment } from '../frame/planes'
import type { JudgedQuantity } from '../judge/quantities'
import type { SettledTolerance } from '../judge/tolerance'
import { NormalDraws } from '../random/normalDraw'
import type { Random } from '../random/random'
import { chanceInBand } from './chance'
import { DrawTally, LineTally, type SpreadValue } from './drawTally'
import { covarianceAfterMove, type LineCovariance } from './linear'
import { feetOf } from './footDraws'
import { judgedIn } from './judgedDraws'
import { BLOCK, column, type LineColumns, type LineModel } from './lineModel'
import type { Spread } from './spread'

export interface SpreadVH {
  readonly v: SpreadValue | null
  readonly h: SpreadValue | null
}

export interface MonteCarloInput {
  readonly model: LineModel
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

const columns = (n: number) => Array.from({ length: n }, column)

/**
 * Monte Carlo over readings, clock angles, distances, sags, shims, side moves and settling. The
 * planned move is exact, `t(x) - d(x)` from the readings as they are; each draw then asks where
 * the machine would really stand after it. Worked out in blocks of columns. Millimetres, mm/mm. Repeats
 * with the same `random`. Source: docs/methods/uncertainty.md.
 */
export const monteCarlo = (input: MonteCarloInput): MonteCarloResult => {
  const { model, feet, tolerance, sd, draws } = input
  const target = input.target ?? ALIGNED
  const { nominal, tells } = model
  const goal = [target.offset.v ?? 0, target.offset.h ?? 0, target.slope.v ?? 0, target.slope.h ?? 0] as const
  const plan = (o: 0 | 1) =>
    Float64Array.from(
      feet,
      (f) => goal[o] - (nominal[o] as number) + ((goal[o + 2] as number) - (nominal[o + 2] as number)) * f.x,
    )
  const planned = { v: plan(0), h: plan(1) }

  const drawing = model.drawing(sd)
  const atFeet = feetOf(input, planned)
  const judged = judgedIn(tolerance, target)
  const { quantities, vector } = judged
  // A quantity that is one of the line's own numbers spreads as that does.
  const judgedDraws = quantities.map(({ terms: [t] }) =>
    !vector && t && t.offsetFactor * t.slopeFactor === 0 ? null : new DrawTally(),
  )
  const parts = tells.map((tell) => (tell ? new DrawTally() : null))
  const tellsV = tells[0] && tells[2]
  const tellsH = tells[1] && tells[3]
  const tally = (tell: boolean) => (tell ? new DrawTally() : null)
  const moves = feet.map(() => ({ v: tally(tellsV), h: tally(tellsH) }))
  const together = new LineTally()

  const all = new Float64Array((drawing.count + atFeet.count) * BLOCK)
  const z = Array.from({ length: drawing.count + atFeet.count }, (_, c) =>
    all.subarray(c * BLOCK, (c + 1) * BLOCK),
  )
  const [zLine, zFeet] = [z.slice(0, drawing.count), z.slice(drawing.count)]
  const normal = new NormalDraws(input.random)
  const lines = columns(4) as unknown as LineColumns
  const after = columns(4) as unknown as LineColumns
  const asked = feet.map(() => ({ v: column(), h: column() }))
  const value = column()
  let inside = 0

  for (let from = 0; from < draws; from += BLOCK) {
    const count = Math.min(BLOCK, draws - from)
    normal.fill(all)
    drawing.into(zLine, lines)
    atFeet.into(zFeet, lines, asked, after)
    lines.forEach((line, k) => parts[k]?.add(line, count))
    together.add(lines, count)
    moves.forEach((move, f) => {
      move.v?.add((asked[f] as { v: Float64Array }).v, count)
      move.h?.add((asked[f] as { h: Float64Array }).h, count)
    })
    judgedDraws.forEach((list, index) => {
      if (!list) return
      judged.valuesInto(quantities[index] as JudgedQuantity, lines, value)
      list.add(value, count)
    })
    inside += judged.inside(after, count)
  }

  const known = tells.every(Boolean)
  const chance = inside / draws
  // Below even odds only because of the measuring: a better measurement is worth more than the move.
  const measuring = chance < EVEN && chanceOfMove(input, nominal, planned.v, planned.h) >= EVEN
  const part = (i: 0 | 1 | 2 | 3) => parts[i]?.spread() ?? null
  const coupling = { offset: { v: part(0), h: part(1) }, slope: { v: part(2), h: part(3) } }
  const wide = quantities.flatMap((q, i) => {
    const untold = q.terms.some((t) => {
      const at = t.plane === 'v' ? 0 : 1
      return (t.offsetFactor !== 0 && !tells[at]) || (t.slopeFactor !== 0 && !tells[at + 2])
    })
    const [first] = q.terms
    const [from, to] = judged.bandOf(q)
    if (untold || !first || from === null || to === null) return []
    const own = judgedDraws[i]
    const line = first.slopeFactor === 0 ? coupling.offset[first.plane] : coupling.slope[first.plane]
    const factor = Math.abs(first.slopeFactor === 0 ? first.offsetFactor : first.slopeFactor)
    const spread = own ? own.spread() : line
    const width = spread ? (spread.high - spread.low) * (own ? 1 : factor) : 0
    return width > to - from ? [q.name] : []
  })
  return {
    coupling,
    feet: feet.map(({ id }, f) => {
      return { id, move: { v: moves[f]?.v?.spread() ?? null, h: moves[f]?.h?.spread() ?? null } }
    }),
    covariance: together.covariance(),
    chanceInBand: known ? chance : null,
    wide,
    advice: wide.length > 0 || measuring || !known ? 'measure-again' : 'move',
  }
}
