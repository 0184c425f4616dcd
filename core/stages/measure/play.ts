import type { FootPlane } from '../../coupling/feet'
import { remember } from '../../logbook/remember'
import { backlash, type Backlash } from '../../trust/backlash'
import { repeatLimit } from '../../trust/repeat'
import type { Millimetres } from '../../units/unitSystem'
import type { ReadingSet } from './readingSet'

/** Which way the shafts were turned to the marks: as for the other sets, or the other way, to find play. */
export type TurnedWay = 'with' | 'against'

export const wayTurned = (set: ReadingSet): TurnedWay => set.entry.payload.turned ?? 'with'

/** The same marks turned to from both sides. */
export interface Play extends Backlash {
  readonly first: string
  readonly second: string
  readonly limit: Millimetres
}

/** What play there is between two sets turned opposite ways; null where they can't be held against one another. */
export const playBetween = remember(
  (first: ReadingSet, second: ReadingSet, feet: readonly FootPlane[]): Play | null => {
    const [a, b] = [first.arranged?.arrangement, second.arranged?.arrangement]
    const [from, to] = [first.measured?.coupling, second.measured?.coupling]
    if (first.setUp !== second.setUp || !a || !b || !from || !to) return null
    const limit = repeatLimit(second.setUp.units, second.setUp.coarsest)
    return {
      ...backlash({ arrangement: a, coupling: from }, { arrangement: b, coupling: to }, { limit, feet }),
      first: first.entry.id,
      second: second.entry.id,
      limit,
    }
  },
)
