import type { Outcome } from '../outcome'
import type { TrustLimits } from '../trust/trustReport'
import type { Degrees, Millimetres } from '../units/unitSystem'
import { measureArrangement, type CouplingMeasurement, type DialArrangement } from './dialCircle'

/** One look of both heads: where they stood and what they showed, millimetres. */
export interface HeadSample {
  readonly clock: Degrees
  /** The movable head's own clock angle, when it has one. */
  readonly movableClock?: Degrees
  readonly stationary: Millimetres
  readonly movable: Millimetres
}

export interface HeadsInput {
  readonly stationaryPlane: Millimetres
  readonly movablePlane: Millimetres
  readonly samples: readonly HeadSample[]
}

/** Two heads as circles: reverse rim without sag, each with a constant of its own. */
export const headsArrangement = (input: HeadsInput): DialArrangement => ({
  circles: [
    {
      name: 'stationary',
      readings: input.samples.map((s) => ({ clock: s.clock, value: s.stationary })),
      sag: 0,
      reads: 'position',
      lever: -1,
      plane: input.stationaryPlane,
      path: ['samples'],
    },
    {
      name: 'movable',
      readings: input.samples.map((s) => ({ clock: s.movableClock ?? s.clock, value: s.movable })),
      sag: 0,
      reads: 'position',
      lever: 1,
      plane: input.movablePlane,
      path: ['samples'],
    },
  ],
  join: { kind: 'two-positions' },
})

/**
 * Electronic heads on both shafts, at clock positions or along an arc. Millimetres, degrees.
 * Refuses arcs too short to carry a result and two heads at one plane. Source: chapter 2, Heads.
 */
export const heads = (input: HeadsInput, limits: TrustLimits): Outcome<CouplingMeasurement> => {
  const measured = measureArrangement(headsArrangement(input), limits)
  if (measured.ok || measured.refusals[0]?.code !== 'planes-at-one-place') return measured
  return { ok: false, refusals: [{ code: 'planes-at-one-place', path: ['movablePlane'] }] }
}
