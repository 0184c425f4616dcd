import type { Millimetres } from '../units/unitSystem'

/** What moving one head a little by hand showed of which figure is whose. */
export type NudgeSays = 'as-named' | 'swapped' | 'both-move' | 'too-little'

/** The other figure may follow by this share: a nudged bracket shakes its neighbour. */
const FOLLOWS = 1 / 3

/**
 * A head was nudged on its machine: `own` is how much the figure under its name changed, `other` the other
 * head's. Less than three graduations says nothing. Millimetres.
 */
export const readNudge = (own: Millimetres, other: Millimetres, graduation: Millimetres): NudgeSays => {
  const [mine, theirs] = [Math.abs(own), Math.abs(other)]
  if (Math.max(mine, theirs) < 3 * graduation - 1e-9) return 'too-little'
  if (theirs <= mine * FOLLOWS) return 'as-named'
  return mine <= theirs * FOLLOWS ? 'swapped' : 'both-move'
}
