import { rimCircle, setUpFlags } from '../coupling/dialCircles'
import { done, refused } from '../outcome'
import { readAt, rimToCore, type Method, type RimMount } from './method'

/** A bracket each way: one rim dial on either hub, each with a sag of its own. */
export interface ReverseRimSetUp {
  /** The dial whose tip runs on the stationary hub; carried by the movable shaft. */
  readonly onStationary: RimMount
  /** The dial whose tip runs on the movable hub, carried by the stationary shaft. */
  readonly onMovable: RimMount
}

/** Where the two rim dials usually run, in the record's own units. */
export interface ReverseRimUsual {
  readonly onStationary: number
  readonly onMovable: number
}

/**
 * Reverse rim: the axis' position at two planes gives offset and slope; axial float does not enter.
 * Circles `onStationary`, `onMovable`; one dial hangs on either machine. Source: docs/methods/reverse-rim.md.
 */
export const reverseRimMethod: Method<ReverseRimSetUp> = {
  circles: () => ['onStationary', 'onMovable'],
  toCore: ({ onStationary, onMovable }, units) => ({
    onStationary: rimToCore(onStationary, units),
    onMovable: rimToCore(onMovable, units),
  }),
  arrange: ({ onStationary, onMovable }, read) => {
    if (onStationary.carriedBy === onMovable.carriedBy)
      return refused('dial-on-its-own-hub', [
        onMovable.carriedBy === 'movable' ? 'onMovable' : 'onStationary',
        'carriedBy',
      ])
    const circle = (name: 'onStationary' | 'onMovable', mount: RimMount) =>
      rimCircle(name, { ...mount, readings: readAt(read, name) }, [name])
    const first = circle('onStationary', onStationary)
    if (!first.ok) return first
    const second = circle('onMovable', onMovable)
    if (!second.ok) return second
    const circles = [first.value, second.value] as const
    return done({
      arrangement: { circles, join: { kind: 'two-positions' } },
      flags: setUpFlags([onStationary, onMovable], circles),
      axialFloat: null,
    })
  },
}
