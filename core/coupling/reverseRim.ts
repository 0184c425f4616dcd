import { done, type Outcome } from '../outcome'
import type { TrustLimits } from '../trust/trustReport'
import { measureArrangement, type CouplingMeasurement, type DialArrangement } from './dialCircle'
import { rimCircle, setUpFlags } from './dialCircles'
import type { DialSet } from './dialSet'

export interface ReverseRimInput {
  /** The dial whose tip runs on the stationary hub; usually carried by the movable shaft. */
  readonly onStationary: DialSet
  readonly onMovable: DialSet
}

/** Reverse rim as circles: a position at each of two planes. */
export const reverseRimArrangement = (input: ReverseRimInput): Outcome<DialArrangement> => {
  const first = rimCircle('onStationary', input.onStationary, ['onStationary'])
  if (!first.ok) return first
  const second = rimCircle('onMovable', input.onMovable, ['onMovable'])
  if (!second.ok) return second
  return done({ circles: [first.value, second.value], join: { kind: 'two-positions' } })
}

/**
 * Reverse rim: the axis' position at two planes gives offset and slope; axial float does not enter.
 * Each dial has its own sag. Millimetres, degrees, mm/mm. Refuses two dials at one plane. Source:
 * chapter 2, What each instrument reads.
 */
export const reverseRim = (input: ReverseRimInput, limits: TrustLimits): Outcome<CouplingMeasurement> => {
  const arranged = reverseRimArrangement(input)
  if (!arranged.ok) return arranged
  const measured = measureArrangement(arranged.value, limits)
  if (!measured.ok) return measured
  const { trust } = measured.value
  const flags = [...trust.flags, ...setUpFlags([input.onStationary, input.onMovable])]
  return done({ ...measured.value, trust: { ...trust, flags } })
}
