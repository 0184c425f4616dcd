import { done, type Outcome } from '../outcome'
import type { Millimetres } from '../units/unitSystem'
import { centreForLength, type BeltDrive } from './geometry'

/**
 * What a base is asked to give, as shares of the belt's length: slack for laying it on without prying, and stretch to
 * be taken up over its life. Starting values; the maker's sheet rules (docs/methods/belt-geometry.md).
 */
export interface Allowances {
  readonly fitting: number
  readonly takeUp: number
}
export const STARTING_ALLOWANCES: Allowances = { fitting: 0.015, takeUp: 0.03 }

/** fits: with room to lay it on and to take it up; little-room: it runs, but the base ends before its life does. */
export type Fits = 'fits' | 'little-room' | 'runs-out' | 'unknown'

/** A belt of another length on the same sheaves. Away from the other shaft is positive. */
export interface Replacement {
  readonly centre: Millimetres
  /** How far the motor goes from where it stands. */
  readonly change: Millimetres
  /** To lay it on: how far the motor comes in from where it stands, negative where it goes out even for that. */
  readonly inward: Millimetres
  /** To the end of its stretch: how far the motor goes out from where it stands. */
  readonly outward: Millimetres
  readonly fits: Fits
}

/**
 * Whether a belt of this length is near enough: where it brings the motor, and whether the base can go there and on.
 * `travelOut` is what the base still has away from the other shaft; null where nobody knows. Refuses a belt too short
 * to go round.
 */
export const judgeReplacement = (
  { small, large, centre: now }: Pick<BeltDrive, 'small' | 'large' | 'centre'>,
  length: Millimetres,
  travelOut: Millimetres | null,
  { fitting: toFit, takeUp }: Allowances = STARTING_ALLOWANCES,
): Outcome<Replacement> => {
  const at = (share: number) => centreForLength(small, large, length * (1 + share))
  const [fitting, running, stretched] = [at(-toFit), at(0), at(takeUp)]
  if (!running.ok) return running
  if (!stretched.ok) return stretched
  const change = running.value - now
  const outward = stretched.value - now
  return done({
    centre: running.value,
    change,
    // Too short to be slackened at all: the sheaves would touch first.
    inward: now - (fitting.ok ? fitting.value : (small + large) / 2),
    outward,
    fits:
      travelOut === null
        ? 'unknown'
        : change > travelOut
          ? 'runs-out'
          : outward > travelOut
            ? 'little-room'
            : 'fits',
  })
}

/** The large sheave that gives a speed wanted of its shaft, the small one and its speed kept. */
export const largeForSpeed = (small: Millimetres, rpm: number, wanted: number): Millimetres =>
  (small * rpm) / wanted
