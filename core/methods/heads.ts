import type { DialCircle } from '../coupling/dialCircle'
import { done } from '../outcome'
import { toCore, type Millimetres } from '../units/unitSystem'
import { readAt, type Circles, type Method } from './method'

/** An electronic head on either shaft, each at its own plane. */
export interface HeadsSetUp {
  readonly stationaryPlane: Millimetres
  readonly movablePlane: Millimetres
}

const headCircle = (name: string, plane: Millimetres, lever: 1 | -1, read: Circles): DialCircle => ({
  name,
  readings: readAt(read, name),
  sag: 0,
  reads: 'position',
  lever,
  plane,
  path: [name, 'readings'],
})

/**
 * Heads on both shafts: reverse rim without sag, each with a constant of its own. Circles
 * `stationary`, `movable`. Source: docs/methods/heads.md.
 */
export const headsMethod: Method<HeadsSetUp> = {
  circles: () => ['stationary', 'movable'],
  toCore: ({ stationaryPlane, movablePlane }, units) => ({
    stationaryPlane: toCore(stationaryPlane, 'distance', units),
    movablePlane: toCore(movablePlane, 'distance', units),
  }),
  arrange: ({ stationaryPlane, movablePlane }, read) =>
    done({
      arrangement: {
        circles: [
          headCircle('stationary', stationaryPlane, -1, read),
          headCircle('movable', movablePlane, 1, read),
        ],
        join: { kind: 'two-positions' },
      },
      flags: [],
      axialFloat: null,
    }),
}
