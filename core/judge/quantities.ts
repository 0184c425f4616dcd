import type { Plane } from '../frame/planes'
import type { Band, SettledTolerance } from './tolerance'

/** A judged quantity as a combination of the line: `offsetFactor * offset + slopeFactor * slope`. */
export interface JudgedTerm {
  readonly name: string
  readonly kind: 'displacement' | 'slope'
  readonly plane: Plane
  readonly offsetFactor: number
  readonly slopeFactor: number
  readonly band: Band
  /** Whether the value counts from the target, or absolutely (windows). */
  readonly fromTarget: boolean
}

/** A judged quantity: one term, or in vector mode the two planes of it taken together. */
export interface JudgedQuantity {
  readonly name: string
  readonly terms: readonly JudgedTerm[]
}

const known = new WeakMap<SettledTolerance, readonly JudgedQuantity[]>()

/** Everything a tolerance judges, in the order it is shown. Worked out once for a tolerance. */
export const judgedQuantities = (tolerance: SettledTolerance): readonly JudgedQuantity[] => {
  const quantities = known.get(tolerance) ?? quantitiesOf(tolerance)
  known.set(tolerance, quantities)
  return quantities
}

const quantitiesOf = (tolerance: SettledTolerance): readonly JudgedQuantity[] => {
  const pairs: {
    name: string
    kind: 'displacement' | 'slope'
    offset: number
    slope: number
    bands: { v: Band; h: Band }
  }[] = []
  const symmetric = (limit: number): { v: Band; h: Band } => ({ v: [-limit, limit], h: [-limit, limit] })
  if (tolerance.form === 'flex-plane') {
    const bands = symmetric(tolerance.slope)
    pairs.push(
      { name: 'flex.stationary', kind: 'slope', offset: 1 / tolerance.spoolLength, slope: 0.5, bands },
      { name: 'flex.movable', kind: 'slope', offset: -1 / tolerance.spoolLength, slope: 0.5, bands },
    )
  } else {
    const window = tolerance.form === 'window'
    pairs.push(
      {
        name: 'offset',
        kind: 'displacement',
        offset: 1,
        slope: 0,
        bands: window ? tolerance.offset : symmetric(tolerance.offset),
      },
      {
        name: 'slope',
        kind: 'slope',
        offset: 0,
        slope: 1,
        bands: window ? tolerance.slope : symmetric(tolerance.slope),
      },
    )
  }
  const vector = tolerance.form !== 'window' && tolerance.mode === 'vector'
  return pairs.flatMap((pair): readonly JudgedQuantity[] => {
    const term = (plane: Plane): JudgedTerm => ({
      name: `${pair.name}.${plane}`,
      kind: pair.kind,
      plane,
      offsetFactor: pair.offset,
      slopeFactor: pair.slope,
      band: pair.bands[plane],
      fromTarget: tolerance.form !== 'window',
    })
    return vector
      ? [{ name: pair.name, terms: [term('v'), term('h')] }]
      : [
          { name: `${pair.name}.v`, terms: [term('v')] },
          { name: `${pair.name}.h`, terms: [term('h')] },
        ]
  })
}
