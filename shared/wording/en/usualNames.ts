import type { Named } from '../words'

/** What the two machines are called where nobody gave them names, or the usual ones. */
export const usualNames: Named = {
  movable: 'motor',
  stationary: 'driven',
  stationaryMachine: 'driven machine',
}
