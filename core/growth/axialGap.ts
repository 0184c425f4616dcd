import { marginIn, verdictOfMargin, type Verdict } from '../judge/judge'
import type { Band } from '../judge/tolerance'
import type { Celsius, Millimetres } from '../units/unitSystem'

/** A shaft from its thrust bearing to its coupling face. */
export interface GrowingShaft {
  readonly length: Millimetres
  readonly alpha: number
  readonly rise: Celsius
  /** False when it grows away from the coupling. */
  readonly closesGap: boolean
}

export interface AxialGapInput {
  readonly runningGap: Millimetres
  readonly shafts: readonly GrowingShaft[]
  /** Full axial float of the rotor, where it has one. */
  readonly float?: Millimetres
  readonly window?: Band
  /** Gap as measured cold at the marked running position or mid-float. */
  readonly measured?: Millimetres
}

export interface AxialGapResult {
  readonly coldGap: Millimetres
  /** Growth that closes the gap from cold to running. */
  readonly growth: Millimetres
  /** Gap at the two ends of the float, when there is float. */
  readonly floatEnds: readonly [Millimetres, Millimetres] | null
  readonly margin: number | null
  readonly verdict: Verdict | null
  /** When the hubs would touch, warm or cold, at either end of the float; null when they never do. */
  readonly collides: 'cold' | 'running' | null
  /** How far the movable machine goes along the shaft: positive opens the gap. */
  readonly move: Millimetres | null
}

/**
 * `gapCold = gapRunning + sum(alpha * length * temperature rise)`, growth that closes the gap
 * positive. The window is for the cold gap: the measured one is judged by it where given, else the
 * calculated one. Millimetres, degrees Celsius. Source: docs/methods/axial-gap.md.
 */
export const axialGap = (input: AxialGapInput): AxialGapResult => {
  const growth = input.shafts.reduce(
    (sum, s) => sum + (s.closesGap ? 1 : -1) * s.alpha * s.length * s.rise,
    0,
  )
  const coldGap = input.runningGap + growth
  const judged = input.measured ?? coldGap
  const margin = input.window ? marginIn(judged, input.window) : null
  const half = (input.float ?? 0) / 2
  const running = input.measured === undefined ? input.runningGap : input.measured - growth
  const collides = judged - half <= 0 ? 'cold' : running - half <= 0 ? 'running' : null
  return {
    coldGap,
    growth,
    floatEnds: input.float === undefined ? null : [judged - input.float / 2, judged + input.float / 2],
    margin,
    // Hubs that touch are out whatever the window says.
    verdict: collides ? 'out' : margin === null ? null : verdictOfMargin(margin),
    collides,
    move: input.measured === undefined ? null : coldGap - input.measured,
  }
}
