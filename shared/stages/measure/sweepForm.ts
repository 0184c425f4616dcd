import { EVERY } from '../../../core/instruments/sweep'
import { normalClock } from '../../../core/frame/clock'
import type { Circles } from '../../../core/methods/method'
import { fromCore, type UnitSystem } from '../../../core/units/unitSystem'
import { seenClock, type ViewFrom } from '../../wording/otherEnd'
import type { ReadingTexts } from './form'

/** The stop that a swept reading is kept under: the middle of its part of the turn. */
const stopOf = (clock: number) => normalClock((Math.floor(clock / EVERY) + 0.5) * EVERY)
const hundredth = (x: number) => String(Math.round(x * 100) / 100)

/** What a sweep has gathered, in the boxes of a set: each circle by its own angle, in the order it was swept. */
export const sweptTexts = (
  texts: ReadingTexts,
  swept: Circles,
  units: UnitSystem,
  seenFrom: ViewFrom,
): ReadingTexts => {
  const positions = [...new Set(Object.values(swept).flatMap((list) => list.map((r) => stopOf(r.clock))))]
  const boxes = (of: (r: { readonly clock: number; readonly value: number }) => string) =>
    Object.fromEntries(
      Object.entries(swept).map(([circle, list]) => [
        circle,
        Object.fromEntries(list.map((r) => [String(stopOf(r.clock)), of(r)])),
      ]),
    )
  return {
    ...texts,
    units,
    positions,
    zeroedTwice: false,
    turnedBack: false,
    circles: boxes((r) => String(Number(fromCore(r.value, 'displacement', units).toFixed(6)))),
    ownAngles: true,
    angles: boxes((r) => hundredth(seenClock(r.clock, seenFrom))),
    seenFrom,
    returned: Object.fromEntries(Object.keys(swept).map((c) => [c, ''])),
  }
}
