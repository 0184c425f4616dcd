import { marginIn, verdictOfMargin, type Verdict } from '../judge/judge'
import type { Interval } from './tensionBand'
import { diameterChange } from './variableSheave'

/** How the motor's current goes with the driven speed: between these powers of the ratio of speeds. */
const POWERS = {
  // Torque goes with the square of speed; a motor far from its plate draws less of a difference.
  'fan-or-pump': [1, 3],
  // The same torque at every speed.
  steady: [0, 1],
  // Nobody said: taken as the one that asks most.
  other: [1, 3],
} as const satisfies Readonly<Record<string, Interval>>
export type Driven = keyof typeof POWERS

/**
 * What a motor may draw after the driven speed went to `ratio` of what it was, from the amperes it drew before.
 * A warning, not a promise. Source: docs/methods/variable-sheave.md.
 */
export const currentAfter = (amperes: number, ratio: number, driven: Driven): Interval => {
  const [a, b] = POWERS[driven].map((power) => amperes * ratio ** power) as [number, number]
  return a < b ? [a, b] : [b, a]
}

/** A current against the motor's plate, by the most it may come to. */
export const judgeCurrent = ([, most]: Interval, plate: number): Verdict =>
  verdictOfMargin(marginIn(most, [null, plate]))

/** A sheave as its setting tells it: millimetres, degrees. */
export interface SetSheave {
  readonly pitchDiameter: number
  readonly turnsOpen: number
  readonly turnsMost: number
  readonly threadPitch: number
  readonly grooveAngle: number
}

/** Pitch diameter at so many turns open. Null where no groove is left. */
export const diameterAt = (sheave: SetSheave, turns: number): number | null => {
  const opening = (turns - sheave.turnsOpen) * sheave.threadPitch
  const diameter = sheave.pitchDiameter + diameterChange(opening, sheave.grooveAngle)
  return diameter > 0 ? diameter : null
}

/** Turns from closed to wide open by halves, and those that are asked for besides; rising. */
export const halfTurns = (most: number, besides: readonly number[]): readonly number[] => {
  const halves = Array.from({ length: Math.floor(most * 2) + 1 }, (_, i) => i / 2)
  return [...new Set([...halves, most, ...besides])].sort((a, b) => a - b)
}
