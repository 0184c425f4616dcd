import { unmeasuredRunoutSd } from '../runout/runout'
import type { Spread } from './spread'

const MIL = 0.0254

/** Ordinary care: what dials, tapes, shims and side moves come to in good hands. */
export const ORDINARY_HANDS: Spread = {
  reading: 0.15 * MIL,
  clock: 0.5,
  distance: 1.5,
  // Read twice on a test pipe and halved: the error of one reading, over the root of two.
  sag: 0.15 * MIL,
  shim: 0.15 * MIL,
  side: 0.4 * MIL,
  settling: 0.25 * MIL,
  runout: unmeasuredRunoutSd(null),
}
