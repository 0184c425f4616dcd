import { clockVector, distinctClocks, normalClock } from '../frame/clock'
import type { Reading } from '../fit/harmonicFit'
import { solveLinear } from '../fit/leastSquares'
import { marginIn, verdictOfMargin, type Verdict } from '../judge/judge'
import { done, refused, type Outcome } from '../outcome'
import type { Degrees, Millimetres, Slope } from '../units/unitSystem'

export interface Harmonic {
  readonly amplitude: Millimetres
  /** Mark that stands under the dial when the reading is highest; 0 to 180 for the second harmonic. */
  readonly highAt: Degrees
}

export interface RunoutInput {
  /** One turn of one shaft; `clock` is the mark under the dial. */
  readonly readings: readonly Reading[]
  readonly surface: 'rim' | 'face'
  /** Diameter the dial runs on; needed for the slope of a face. */
  readonly diameter?: Millimetres
  readonly limit: Millimetres
}

export interface RunoutResult {
  /** Highest less lowest reading. Eight readings can miss 13 % of an oval. */
  readonly tir: Millimetres
  /** Eccentricity of a rim, wobble of a face. */
  readonly first: Harmonic
  /** Oval or clamped hub; null with fewer than five distinct positions. */
  readonly second: Harmonic | null
  readonly residualRms: Millimetres
  /** Wobble of a face as a slope; null for a rim or an unknown diameter. */
  readonly slope: Slope | null
  /** Where to strike or which side to bring in: the high spot of the first harmonic. */
  readonly strikeAt: Degrees
  readonly limit: Millimetres
  readonly margin: number
  readonly verdict: Verdict
}

const RUNOUT_RULE = { constant: 7200, least: 2, most: 5 }
const MIL: Millimetres = 0.0254

/** Starter limit for run-out: 7200 mil/rpm, held between 2 and 5 mil. Millimetres. */
export const starterRunoutLimit = (rpm: number): Millimetres =>
  Math.min(RUNOUT_RULE.most, Math.max(RUNOUT_RULE.least, RUNOUT_RULE.constant / rpm)) * MIL

/**
 * Standard deviation of either amplitude of a hub's run-out that nobody measured: a hub that just passes
 * the starter limit at its speed (the widest one where no speed is known), its high spot anywhere.
 * Millimetres.
 */
export const unmeasuredRunoutSd = (rpm: number | null): Millimetres =>
  (rpm === null ? RUNOUT_RULE.most * MIL : starterRunoutLimit(rpm)) / 2 / Math.SQRT2

const highSpot = (cos: number, sin: number, order: 1 | 2): Harmonic => {
  const angle = (Math.atan2(sin, cos) * 180) / Math.PI
  return { amplitude: Math.hypot(cos, sin), highAt: normalClock(angle < 0 ? angle + 360 : angle) / order }
}

/**
 * One turn of a hub under a fixed dial, taken apart into first and second harmonic by least
 * squares. Needs three distinct positions, five for the second harmonic. Source:
 * docs/methods/runout.md.
 */
export const runout = (input: RunoutInput): Outcome<RunoutResult> => {
  const { readings } = input
  const distinct = distinctClocks(readings.map((r) => r.clock)).length
  if (distinct < 3) return refused('too-few-positions', ['readings'], { distinct })
  const withSecond = distinct >= 5
  const rows = readings.map(({ clock }) => {
    const [c, s] = clockVector(clock)
    return withSecond ? [1, c, s, c * c - s * s, 2 * c * s] : [1, c, s]
  })
  const solved = solveLinear(
    rows,
    readings.map((r) => r.value),
  )
  if (!solved) return refused('arc-too-short', ['readings'], { arc: 0, limit: 60 })
  const [, a, b, a2, b2] = solved as readonly [number, number, number, number?, number?]
  const squares = readings.reduce((sum, r, i) => {
    const fitted = (rows[i] as number[]).reduce((s, x, j) => s + x * (solved[j] as number), 0)
    return sum + (r.value - fitted) ** 2
  }, 0)
  const values = readings.map((r) => r.value)
  const tir = Math.max(...values) - Math.min(...values)
  const first = highSpot(a, b, 1)
  const margin = marginIn(tir, [null, input.limit])
  return done({
    tir,
    first,
    second: withSecond ? highSpot(a2 ?? 0, b2 ?? 0, 2) : null,
    residualRms: Math.sqrt(squares / readings.length),
    slope:
      input.surface === 'face' && input.diameter !== undefined
        ? first.amplitude / (input.diameter / 2)
        : null,
    strikeAt: first.highAt,
    limit: input.limit,
    margin,
    verdict: verdictOfMargin(margin),
  })
}
