import type { DialCircle } from '../coupling/dialCircle'
import type { Reading } from '../fit/harmonicFit'
import { done } from '../outcome'
import { toCore, type Millimetres } from '../units/unitSystem'
import { readAt, type Circles, type Method } from './method'

/** What plus means on the instrument: 1 as in this program's frame, -1 the other way. */
export type ShownSign = 1 | -1

/** Offset and angle at the coupling, typed from an instrument that has worked them out itself. */
export interface ValuesSetUp {
  /** Length over which the angle is told: 1 in, 100 mm, or a coupling's diameter. */
  readonly per: Millimetres
  /** Plus as the movable machine high, toward 3, its far end high, its far end toward 3. */
  readonly signs: {
    readonly high: ShownSign
    readonly toward3: ShownSign
    readonly endHigh: ShownSign
    readonly endToward3: ShownSign
  }
}

/** Positions at two planes, typed from such an instrument. */
export interface FootValuesSetUp {
  /** Where the two planes lie, from the coupling centre. */
  readonly near: Millimetres
  readonly far: Millimetres
  readonly signs: { readonly high: ShownSign; readonly toward3: ShownSign }
}

/**
 * A value in each plane as the circle it stands for: read at 12 it is the vertical, at 3 the horizontal. The
 * other side is its opposite, so that it fits, pools and repeats like anything that was read round the clock;
 * nothing in it could expose a wrong one, which is said (`unproven`).
 */
const valueCircle = (
  name: string,
  read: Circles,
  [vertical, horizontal]: readonly [ShownSign, ShownSign],
  circle: Pick<DialCircle, 'reads' | 'lever' | 'plane'>,
): DialCircle => ({
  name,
  readings: readAt(read, name).flatMap((r): readonly Reading[] => {
    const value = r.value * (r.clock === 0 ? vertical : horizontal)
    return [
      { ...r, value },
      { ...r, clock: r.clock + 180, value: -value },
    ]
  }),
  sag: 0,
  path: [name, 'readings'],
  ...circle,
})

/** Values at the coupling. Circles `offset`, `angle`, each read at 12 (vertical) and 3 (horizontal). */
export const valuesMethod: Method<ValuesSetUp> = {
  circles: () => ['offset', 'angle'],
  toCore: ({ per, signs }, units) => ({ per: toCore(per, 'distance', units), signs }),
  arrange: ({ per, signs: s }, read) =>
    done({
      arrangement: {
        circles: [
          {
            ...valueCircle('offset', read, [s.high, s.toward3], { reads: 'position', lever: 1, plane: 0 }),
            atCentre: true,
          },
          valueCircle('angle', read, [s.endHigh, s.endToward3], { reads: 'slope', lever: per, plane: 0 }),
        ],
        join: { kind: 'position-and-slope' },
      },
      flags: ['unproven'],
      axialFloat: null,
    }),
}

/** Values at two planes, usually the feet. Circles `nearPlane`, `farPlane`. */
export const footValuesMethod: Method<FootValuesSetUp> = {
  circles: () => ['nearPlane', 'farPlane'],
  toCore: ({ near, far, signs }, units) => ({
    near: toCore(near, 'distance', units),
    far: toCore(far, 'distance', units),
    signs,
  }),
  arrange: ({ near, far, signs: { high, toward3 } }, read) =>
    done({
      arrangement: {
        circles: [
          valueCircle('nearPlane', read, [high, toward3], { reads: 'position', lever: 1, plane: near }),
          valueCircle('farPlane', read, [high, toward3], { reads: 'position', lever: 1, plane: far }),
        ],
        join: { kind: 'two-positions' },
      },
      flags: ['unproven'],
      axialFloat: null,
    }),
}
