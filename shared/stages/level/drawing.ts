import type { Levels } from '../../../core/stages/level/levels'
import type { RunoutResult } from '../../../core/runout/runout'
import type { Millimetres, Slope } from '../../../core/units/unitSystem'

/** Round times-figures, largest that stays below the exact one. */
const ROUND = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000]
const roundTimes = (exact: number): number => ROUND.filter((t) => t <= exact).pop() ?? 1

/** Steepest a shaft is drawn, as a slope. */
const STEEPEST = 0.16

/** How many times the slopes are drawn, alike for both shafts. */
export const slopeTimes = (levels: Levels): number => {
  const steepest = Math.max(Math.abs(levels.movable?.rise ?? 0), Math.abs(levels.stationary?.rise ?? 0))
  return steepest < 1e-9 ? 1 : roundTimes(STEEPEST / steepest)
}

/** A shaft's turn on the sheet, degrees, its far end up positive. */
export const drawnTilt = (rise: Slope, times: number): number => (Math.atan(rise * times) * 180) / Math.PI

/** The turn of a hub as drawn: the fitted curve round the true circle, in the drawing's own units. */
export interface DrawnTurn {
  readonly times: number
  /** The fitted curve, closed. */
  readonly path: string
  /** Where each reading lies. */
  readonly dots: readonly { readonly clock: number; readonly x: number; readonly y: number }[]
  /** The high spot of the first harmonic, on the true circle. */
  readonly high: { readonly x: number; readonly y: number } | null
}

export const TURN = { size: 300, radius: 92, room: 26 } as const

const place = (clock: number, r: number) => {
  const a = (clock * Math.PI) / 180
  return { x: TURN.size / 2 + r * Math.sin(a), y: TURN.size / 2 - r * Math.cos(a) }
}

/** What a dial would read at this mark by the fit, over its mean. */
const fitted = ({ first, second }: Pick<RunoutResult, 'first' | 'second'>, clock: number): Millimetres =>
  first.amplitude * Math.cos(((clock - first.highAt) * Math.PI) / 180) +
  (second ? second.amplitude * Math.cos((2 * (clock - second.highAt) * Math.PI) / 180) : 0)

/** Draws a turn about its mean; an untouched circle while there is none. */
export const drawTurn = (
  result: Pick<RunoutResult, 'tir' | 'first' | 'second'> | null,
  values: readonly { clock: number; value: Millimetres }[],
): DrawnTurn => {
  const { radius, room } = TURN
  if (!result) return { times: 1, path: '', dots: [], high: null }
  const largest = Math.max(result.tir / 2, result.first.amplitude, 1e-9)
  const times = room / largest
  // The mean that the fit leaves: readings less what it says.
  const mean = values.reduce((s, v) => s + v.value - fitted(result, v.clock), 0) / Math.max(1, values.length)
  const points = Array.from({ length: 73 }, (_, i) => place(i * 5, radius + fitted(result, i * 5) * times))
  return {
    times,
    path: points.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join(''),
    dots: values.map((v) => ({ clock: v.clock, ...place(v.clock, radius + (v.value - mean) * times) })),
    high: place(result.first.highAt, radius - 34),
  }
}
