import { gapsCircle, risesCircle } from '../coupling/gapStraightedge'
import { done } from '../outcome'
import { toCore, type Millimetres } from '../units/unitSystem'
import { readAt, type Method } from './method'

/** Feelers between the faces and under a straightedge: nothing turns. */
export interface GapsSetUp {
  /** Circle on which the gaps are felt. */
  readonly diameter: Millimetres
}

/**
 * Gap and straightedge at three places or more: the position at the coupling centre from the rim steps, whose
 * constant is the difference of the hub radii, and a slope from the gaps. Circles `steps`, `gaps`. A step is
 * positive where the movable rim is higher. Source: docs/methods/gap-straightedge.md.
 */
export const gapsMethod: Method<GapsSetUp> = {
  circles: () => ['steps', 'gaps'],
  toCore: ({ diameter }, units) => ({ diameter: toCore(diameter, 'distance', units) }),
  arrange: ({ diameter }, read) =>
    done({
      arrangement: {
        circles: [
          { ...risesCircle(readAt(read, 'steps')), name: 'steps', path: ['steps', 'readings'] },
          { ...gapsCircle(diameter, readAt(read, 'gaps')), path: ['gaps', 'readings'] },
        ],
        join: { kind: 'position-and-slope' },
      },
      flags: [],
      axialFloat: null,
    }),
}
