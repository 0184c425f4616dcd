import { curveBand } from '../../../core/instruments/curveBand'
import { timesAFullTurn } from '../../../core/instruments/sweep'
import { clockVector } from '../../../core/frame/clock'
import type { HarmonicFit } from '../../../core/fit/harmonicFit'
import type { Circles } from '../../../core/methods/method'
import type { Degrees, Millimetres } from '../../../core/units/unitSystem'

/** The sheet that readings round the turn are drawn on. */
export const TURN_SHEET = { width: 660, height: 206, left: 58, right: 648, top: 12, bottom: 184 } as const

export interface DrawnCurve {
  readonly circle: string
  readonly dots: readonly { readonly x: number; readonly y: number }[]
  /** Where it was swept, whole; where it may go on, dashed. Empty until it is fitted. */
  readonly swept: string
  readonly onward: string
  /** The soft band: where the curve may still lie. */
  readonly band: string
  /** Where its name stands: the end of the sheet. */
  readonly nameY: number
}

export interface DrawnTurn {
  readonly curves: readonly DrawnCurve[]
  /** Quarters along the sheet, by the clock as it is stored. */
  readonly quarters: readonly { readonly x: number; readonly clock: Degrees }[]
  readonly lines: readonly { readonly y: number; readonly value: Millimetres }[]
  /** Where the shaft stands, and where it is wanted; null where there is none. */
  readonly now: number | null
  readonly wanted: number | null
}

const { left, right, top, bottom } = TURN_SHEET
/** Degrees left free before the sweep. */
const ROOM = 8
const STEPS = [0.005, 0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10]

/**
 * Readings round the turn, unrolled from a quarter before the sweep began, the way it is turned; each circle about the
 * mean of its curve, all to one scale. `step` picks the lines in the reader's own unit.
 */
export const drawTurn = (
  swept: Circles,
  fits: Readonly<Record<string, HarmonicFit>>,
  sweep: {
    readonly from: Degrees
    readonly way: 1 | -1
    readonly arc: Degrees
    readonly wanted: Degrees | null
  },
  perUnit: Millimetres,
): DrawnTurn => {
  // A shaft that stands a little before its mark begins a quarter earlier: nothing is drawn at the far edge.
  const begin =
    sweep.way > 0 ? Math.floor((sweep.from - ROOM) / 90) * 90 : Math.ceil((sweep.from + ROOM) / 90) * 90
  const along = (clock: Degrees) => (((sweep.way * (clock - begin)) % 360) + 360) % 360
  const x = (turned: Degrees) => left + ((right - left) * turned) / 360
  const clockAt = (turned: Degrees) => begin + sweep.way * turned
  const offset = along(sweep.from)
  const circles = Object.entries(swept).map(([circle, readings]) => {
    const fit = fits[circle]
    const mean =
      fit?.constants[''] ?? readings.reduce((m, r) => m + r.value, 0) / Math.max(1, readings.length)
    const curve = (turned: Degrees): Millimetres => {
      const [c, s] = clockVector(clockAt(turned))
      return (fit?.cos ?? 0) * c + (fit?.sin ?? 0) * s
    }
    const sd = fit
      ? Math.max(0.0005, fit.residualRms * Math.sqrt(readings.length / Math.max(1, fit.spare)))
      : 0
    const soft = fit ? curveBand(readings, sd) : () => 0
    return { circle, readings, fit, mean, curve, soft: (turned: Degrees) => soft(clockAt(turned)) }
  })
  const turns = Array.from({ length: 73 }, (_, i) => i * 5)
  const sizes = circles.flatMap(({ readings, mean, fit, curve }) => [
    ...readings.map((r) => Math.abs(r.value - mean)),
    ...(fit ? turns.map((t) => Math.abs(curve(t))) : []),
  ])
  const most = Math.max(...sizes, 0.02) * 1.25
  const y = (value: Millimetres) =>
    (top + bottom) / 2 - (Math.max(-1.03, Math.min(1.03, value / most)) * (bottom - top)) / 2
  const line = (from: Degrees, to: Degrees, at: (t: Degrees) => Millimetres) =>
    turns
      .filter((t) => t >= from && t <= to)
      .map((t, i) => `${i === 0 ? 'M' : 'L'}${x(t).toFixed(1)} ${y(at(t)).toFixed(1)}`)
      .join('')
  const edge = (at: (t: Degrees) => Millimetres, back: boolean) =>
    (back ? [...turns].reverse() : turns).map((t) => `${x(t).toFixed(1)} ${y(at(t)).toFixed(1)}`).join('L')
  const steps = STEPS.map((s) => s * perUnit * (perUnit < 1 ? 100 : 1))
  const step = steps.filter((s) => s <= most / 1.2).at(-1) ?? most
  const end = Math.min(360, offset + sweep.arc)
  return {
    curves: circles.map(({ circle, readings, fit, mean, curve, soft }) => ({
      circle,
      dots: readings.map((r) => ({ x: x(along(r.clock)), y: y(r.value - mean) })),
      swept: fit ? line(offset - 2.5, end + 2.5, curve) : '',
      onward: fit ? `${line(0, offset, curve)}${line(end, 360, curve)}` : '',
      band: fit
        ? `M${edge((t) => curve(t) + Math.min(most * 3, soft(t)), false)}L${edge((t) => curve(t) - Math.min(most * 3, soft(t)), true)}Z`
        : '',
      nameY: y(fit ? curve(345) : 0),
    })),
    quarters: [0, 90, 180, 270, 360].map((t) => ({ x: x(t), clock: ((clockAt(t) % 360) + 360) % 360 })),
    lines: [-2, -1, 0, 1, 2].flatMap((n) =>
      Math.abs(n * step) <= most ? [{ y: y(n * step), value: n * step }] : [],
    ),
    now: sweep.arc > 0 ? x(end) : null,
    wanted: sweep.wanted === null ? null : x(Math.min(360, offset + sweep.wanted)),
  }
}

/** The sheet of how the error shrinks with the arc. */
export const ERROR_SHEET = {
  width: 300,
  height: 150,
  left: 30,
  right: 290,
  top: 10,
  bottom: 122,
  most: 6.5,
} as const

/** How many times a full turn's the error is over an arc: the curve, and points on it. */
export const drawError = (arc: Degrees, then: Degrees | null) => {
  const e = ERROR_SHEET
  const x = (a: Degrees) => e.left + ((e.right - e.left) * (a - 90)) / 270
  const y = (times: number) => e.bottom - ((e.bottom - e.top) * (Math.min(e.most, times) - 1)) / (e.most - 1)
  const at = (a: Degrees) => ({ x: x(Math.max(90, a)), y: y(timesAFullTurn(a)), times: timesAFullTurn(a) })
  const steps = Array.from({ length: 55 }, (_, i) => 90 + i * 5).filter((a) => timesAFullTurn(a) <= e.most)
  return {
    path: steps
      .map((a, i) => `${i === 0 ? 'M' : 'L'}${x(a).toFixed(1)} ${y(timesAFullTurn(a)).toFixed(1)}`)
      .join(''),
    now: arc >= 60 ? at(arc) : null,
    then: then === null ? null : at(then),
    times: [1, 2, 4, 6].map((t) => ({ y: y(t), text: String(t) })),
    arcs: [90, 180, 270, 360].map((a) => ({ x: x(a), text: `${a}°` })),
  }
}
