import { faceCircle } from '../coupling/dialCircles'
import { done } from '../outcome'
import { toCore, type Millimetres } from '../units/unitSystem'
import { faceToCore, readAt, type FaceMount, type Method } from './method'

/** A face dial across the gap at either end of a spool. */
export interface SpacerFacesSetUp {
  /** Slope of the spool against the stationary shaft. */
  readonly atStationary: FaceMount
  /** Slope of the movable shaft against the spool. */
  readonly atMovable: FaceMount
  /** Between the flex planes. */
  readonly spoolLength: Millimetres
}

/**
 * Face and face across a spacer: `d(movable flex plane) = p1 * Ls`, `slope = p1 + p2`, that plane
 * at x = Ls/2. Circles `atStationary`, `atMovable`. Source: docs/methods/spacer-faces.md.
 */
export const spacerFacesMethod: Method<SpacerFacesSetUp> = {
  circles: () => ['atStationary', 'atMovable'],
  toCore: ({ atStationary, atMovable, spoolLength }, units) => ({
    atStationary: faceToCore(atStationary, units),
    atMovable: faceToCore(atMovable, units),
    spoolLength: toCore(spoolLength, 'distance', units),
  }),
  arrange: ({ atStationary, atMovable, spoolLength }, read) => {
    const circle = (name: 'atStationary' | 'atMovable', mount: FaceMount) =>
      faceCircle(name, { ...mount, readings: readAt(read, name) }, [name])
    const first = circle('atStationary', atStationary)
    if (!first.ok) return first
    const second = circle('atMovable', atMovable)
    if (!second.ok) return second
    return done({
      arrangement: { circles: [first.value, second.value], join: { kind: 'two-slopes', spoolLength } },
      flags: [],
      axialFloat: null,
    })
  },
}
