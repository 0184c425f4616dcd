import { RISES, risesOf, signOf, type MethodForm } from '../form'

/** Reverse rim as the set-up asks for it: a bracket each way, a rim dial on either hub. */
export const reverseRimForm: MethodForm = {
  method: 'reverse-rim',
  circles: () => ['onStationary', 'onMovable'],
  reads: 'dials',
  numbers: [
    { id: 'onStationary', measure: 'distance' },
    { id: 'onMovable', measure: 'distance' },
    { id: 'sagStationary', measure: 'displacement', sag: true, counts: 'stationaryRises', end: 'stationary' },
    { id: 'sagMovable', measure: 'displacement', sag: true, counts: 'movableRises' },
  ],
  choices: [
    { id: 'stationaryRises', options: RISES },
    { id: 'movableRises', options: RISES },
  ],
  valuesOf: (how) => {
    if (how.method !== 'reverse-rim') return null
    const { onStationary, onMovable } = how.given
    return {
      numbers: {
        onStationary: Math.abs(onStationary.plane),
        onMovable: Math.abs(onMovable.plane),
        sagStationary: onStationary.sag,
        sagMovable: onMovable.sag,
      },
      choices: {
        stationaryRises: risesOf(onStationary.readingSign),
        movableRises: risesOf(onMovable.readingSign),
      },
    }
  },
  given: ({ numbers: n, choices: c, turning }) => ({
    method: 'reverse-rim',
    given: {
      onStationary: {
        carriedBy: 'movable',
        plane: -(n.onStationary ?? 0) || 0,
        sag: n.sagStationary ?? 0,
        turning,
        readingSign: signOf(c.stationaryRises),
      },
      onMovable: {
        carriedBy: 'stationary',
        plane: n.onMovable ?? 0,
        sag: n.sagMovable ?? 0,
        turning,
        readingSign: signOf(c.movableRises),
      },
    },
  }),
  dials: () => [
    { carriedBy: 'movable', plane: 'onStationary' },
    { carriedBy: 'stationary', plane: 'onMovable' },
  ],
}
