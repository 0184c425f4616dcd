import { ORDINARY_HANDS } from '../uncertainty/ordinaryHands'
import { NO_SPREAD, type Spread } from '../uncertainty/spread'

/** How good the hands on the bench are. */
export const HANDS = ['steady', 'ordinary', 'tired'] as const
export type Hands = (typeof HANDS)[number]

/** Times the errors of ordinary care. */
const TIMES: Readonly<Record<Hands, number>> = { steady: 0.4, ordinary: 1, tired: 2.2 }

/** What these hands add to every reading, distance and move. Standard deviations, millimetres and degrees. */
export const spreadOfHands = (hands: Hands): Spread => {
  const by = TIMES[hands]
  const { reading, clock, distance, sag, shim, side, settling } = ORDINARY_HANDS
  return {
    ...NO_SPREAD,
    reading: by * reading,
    clock: by * clock,
    distance: by * distance,
    sag: by * sag,
    shim: by * shim,
    side: by * side,
    settling: by * settling,
  }
}
