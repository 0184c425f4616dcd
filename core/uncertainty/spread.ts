import type { Degrees, Millimetres } from '../units/unitSystem'

/** Standard deviations of what a measurement and a move rest on. */
export interface Spread {
  /** Each reading. */
  readonly reading: Millimetres
  /** Each clock angle. */
  readonly clock: Degrees
  /** Each taped distance: dial planes, swing diameters, spool, coupling to feet. */
  readonly distance: Millimetres
  /** Each bar's sag. */
  readonly sag: Millimetres
  /** What shims do at a foot pair, against what was planned. */
  readonly shim: Millimetres
  /** What a side move does at a foot pair. */
  readonly side: Millimetres
  /** Each amplitude of what a hub put into the readings that stood still with its run-out unmeasured. */
  readonly runout: Millimetres
  /** Further shift of a foot pair's height on tightening. */
  readonly settling: Millimetres
}

export const NO_SPREAD: Spread = {
  reading: 0,
  clock: 0,
  distance: 0,
  sag: 0,
  shim: 0,
  side: 0,
  settling: 0,
  runout: 0,
}
