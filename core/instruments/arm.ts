import { clockDistance } from '../frame/clock'
import type { Degrees } from '../units/unitSystem'
import type { Still } from './steady'

/** How near to the wanted place the shaft has to stand. */
export const NEAR_ENOUGH: Degrees = 4
/** A needle that went so many graduations was turned. */
const TURNED_GRADUATIONS = 4
/** Shafts that were turned so far were turned. */
const TURNED_BY: Degrees = 15

/** An instrument that is to be read at a place, by itself, once it stands still there. */
export interface Armed {
  /** What it showed, and where it stood, when it was read last; null before the first. */
  readonly last: { readonly value: number; readonly clock: Degrees | null } | null
  /** It has been turned since. */
  readonly turned: boolean
}

export const UNREAD: Armed = { last: null, turned: true }

export interface ArmStep {
  readonly armed: Armed
  /** What is taken now; null where nothing is. */
  readonly take: { readonly value: number; readonly clock: Degrees | null } | null
}

/**
 * One look at an instrument that is armed. It is read once it stands still where it is wanted, and never twice
 * at one place: between two readings the needle or the shaft must have gone on. An instrument that tells its
 * clock angle is read near `wanted` alone.
 */
export const lookArmed = (
  armed: Armed,
  still: Still,
  graduation: number,
  wanted: Degrees | null,
): ArmStep => {
  const { last } = armed
  const wentOn =
    last !== null &&
    ((still.value !== null && Math.abs(still.value - last.value) > TURNED_GRADUATIONS * graduation) ||
      (still.clock !== null && last.clock !== null && clockDistance(still.clock, last.clock) > TURNED_BY))
  const turned = armed.turned || wentOn
  const stands = still.clock === null || wanted === null || clockDistance(still.clock, wanted) <= NEAR_ENOUGH
  if (!turned || !still.steady || still.value === null || !stands)
    return { armed: { last, turned }, take: null }
  const take = { value: still.value, clock: still.clock }
  return { armed: { last: take, turned: false }, take }
}
