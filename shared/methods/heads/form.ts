import type { MethodForm } from '../form'

/** Heads on both shafts, read by hand at clock positions. */
export const headsForm: MethodForm = {
  method: 'heads',
  circles: () => ['stationary', 'movable'],
  reads: 'dials',
  numbers: [
    { id: 'stationaryPlane', measure: 'distance' },
    { id: 'movablePlane', measure: 'distance' },
  ],
  choices: [],
  valuesOf: (how) =>
    how.method === 'heads'
      ? {
          numbers: {
            stationaryPlane: Math.abs(how.given.stationaryPlane),
            movablePlane: Math.abs(how.given.movablePlane),
          },
          choices: {},
        }
      : null,
  given: ({ numbers: n }) => ({
    method: 'heads',
    given: { stationaryPlane: -(n.stationaryPlane ?? 0) || 0, movablePlane: n.movablePlane ?? 0 },
  }),
  dials: () => [
    { carriedBy: 'movable', plane: 'stationaryPlane' },
    { carriedBy: 'stationary', plane: 'movablePlane' },
  ],
}
