import { said } from '../words'

/** A flange by tape, as its set-up and register ask for it. */
export const flangeTape = {
  plane: 'Coupling centre up to the flange',
  tape: 'Bolts taped as',
  tapes: { radius: 'radius', circle: 'bolt circle', 'each-plane': 'bolt to bolt, each plane' },
  radius: 'Bolt circle, radius',
  circle: 'Bolt circle, across',
  acrossV: 'Bolt to bolt, 12 to 6',
  acrossH: 'Bolt to bolt, 9 to 3',
  noSag: 'No sag: on an upright shaft the bar hangs the same at every hour, so there is nothing to take out.',
  mark: 'Mark the bolt at 12 before anything is read, and stand the same way each time.',
  drawn: 'Distances along the upright shafts',
}

export const flangeTapeWords = said(flangeTape)
