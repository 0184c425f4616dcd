import { done, refused, type Outcome } from '../outcome'
import { fitLine } from '../frame/planes'
import { studentQuantile } from '../statistics/studentT'
import type { Millimetres, Newtons } from '../units/unitSystem'
import { centreForLength, type BeltDrive } from './geometry'

/** Screws are turned in eighths. */
const EIGHTH = 1 / 8

/**
 * Change of centre distance that brings a belt of known stiffness from one tension to another:
 * exact, from the length it stretches to. `display` is the short form L dT / (2 EA cos beta).
 */
export const centreChange = (
  drive: BeltDrive,
  stiffness: Newtons,
  now: Newtons,
  target: Newtons,
): Outcome<{ readonly exact: Millimetres; readonly display: Millimetres }> => {
  const length = (drive.pitchLength * (1 + target / stiffness)) / (1 + now / stiffness)
  const centre = centreForLength(drive.small, drive.large, length)
  if (!centre.ok) return refused('no-room-for-tension', ['target'])
  return done({
    exact: centre.value - drive.centre,
    display: (drive.pitchLength * (target - now)) / (2 * stiffness * Math.cos(drive.strandAngle)),
  })
}

export interface LearnedTurns {
  readonly forcePerTurn: Newtons
  /** More turns of each screw from the last one on; negative slackens. */
  readonly turns: number
  /** 95 % interval of the turns by inverse regression; null for fewer than three points. */
  readonly interval: readonly [number, number] | null
}

/**
 * How many more turns the screws need, learned from what the last turns did: a least-squares line
 * of force against cumulative turns at one fixed deflection. Source: docs/methods/belt-takeup.md.
 */
export const learnTurns = (
  history: readonly { readonly turns: number; readonly force: Newtons }[],
  target: Newtons,
): Outcome<LearnedTurns> => {
  const n = history.length
  const meanX = history.reduce((s, p) => s + p.turns, 0) / n
  const sxx = history.reduce((s, p) => s + (p.turns - meanX) ** 2, 0)
  if (!(sxx > 1e-12)) return refused('turns-all-alike', ['history'])
  const line = fitLine(history.map((p) => ({ x: p.turns, y: p.force })))
  if (!(line.slope > 0)) return refused('no-rising-force', ['history'])
  const at = (target - line.offset) / line.slope
  const last = (history[n - 1] as { turns: number }).turns
  let interval: LearnedTurns['interval'] = null
  if (n >= 3) {
    const squares = history.reduce((s, p) => s + (p.force - line.offset - line.slope * p.turns) ** 2, 0)
    const sigma = Math.sqrt(squares / (n - 2))
    const half =
      studentQuantile(0.975, n - 2) * (sigma / line.slope) * Math.sqrt(1 / n + (at - meanX) ** 2 / sxx)
    interval = [at - last - half, at - last + half]
  }
  return done({ forcePerTurn: line.slope, turns: at - last, interval })
}

/** To the nearest eighth of a turn. */
export const toEighths = (turns: number): number => Math.round(turns / EIGHTH) * EIGHTH
