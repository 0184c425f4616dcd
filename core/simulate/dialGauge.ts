import type { Random } from '../random/random'
import type { Degrees, Millimetres } from '../units/unitSystem'

/** What a dial gauge adds to the truth. */
export interface DialNature {
  /** Readings are rounded to this; 0 leaves them exact. */
  readonly graduation: Millimetres
  /** Standard deviation of reading and clamping. */
  readonly noise: Millimetres
  /** Lost motion: what the needle lags behind when the plunger turns back. */
  readonly backlash: Millimetres
  /** The bracket gives way by this when it passes `slipsAt`; null holds. */
  readonly slip: { readonly at: Degrees; readonly by: Millimetres } | null
  /** -1 for a gauge whose number falls when the plunger is pressed. */
  readonly sign: 1 | -1
}

export const EXACT_DIAL: DialNature = { graduation: 0, noise: 0, backlash: 0, slip: null, sign: 1 }

/** One position of a sweep: where the dial stood and how far its plunger was really pushed in. */
export interface TruePosition {
  readonly clock: Degrees
  readonly plunger: Millimetres
  /** Degrees turned since the start; tells when a slip happens. Clock angle when missing. */
  readonly turned?: Degrees
}

/**
 * What a dial shows along a sweep, zeroed at its first position. `normal` gives normally spread
 * numbers; setting the zero is a reading too, and its error goes into all that follow.
 */
export const dialShows = (
  sweep: readonly TruePosition[],
  dial: DialNature,
  normal: Random,
): readonly { readonly clock: Degrees; readonly value: Millimetres }[] => {
  let needle: number | null = null
  let zero: number | null = null
  return sweep.map(({ clock, plunger, turned }) => {
    const slipped = dial.slip !== null && (turned ?? clock) >= dial.slip.at ? dial.slip.by : 0
    const pushed = plunger + slipped
    // The needle follows only once the lost motion is taken up on either side.
    const half = dial.backlash / 2
    needle = needle === null ? pushed : Math.min(pushed + half, Math.max(pushed - half, needle))
    const read = needle + dial.noise * normal()
    zero ??= read
    const raw = dial.sign * (read - zero)
    const shown = dial.graduation > 0 ? Math.round(raw / dial.graduation) * dial.graduation : raw
    return { clock, value: shown === 0 ? 0 : shown }
  })
}
