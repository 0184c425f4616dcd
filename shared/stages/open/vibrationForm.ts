import {
  VIBRATION_PLACES,
  VIBRATION_WAYS,
  type OpeningEntries,
  type VibrationPlace,
  type VibrationWay,
} from '../../../core/stages/open/entries'
import { readTypedNumber } from '../../../core/units/typedNumber'
import { fromCore, type UnitSystem } from '../../../core/units/unitSystem'
import { velocity } from '../../../core/stages/open/vibration'
import { typingWords } from '../../wording/en'
import type { Words } from '../../wording/words'

export const pointKey = (at: VibrationPlace, way: VibrationWay): string => `${at}.${way}`

/** What stands in the twelve boxes, by `pointKey`; velocities in the unit of the view. */
export interface VibrationTexts {
  units: UnitSystem
  values: Record<string, string>
  words: string
}

export const blankVibration = (units: UnitSystem): VibrationTexts => ({ units, values: {}, words: '' })

/** The boxes as they were noted last. */
export const textsOfVibration = (
  { units: was, points, words }: OpeningEntries['vibration-noted'],
  units: UnitSystem,
): VibrationTexts => ({
  units,
  values: Object.fromEntries(
    points.map((p) => [
      pointKey(p.at, p.way),
      String(Number(fromCore(velocity(p.value, was), 'distance', units).toPrecision(4))),
    ]),
  ),
  words,
})

/** The same boxes in the other unit: nobody writes a unit behind a velocity, so the figures are converted. */
export const nameVibrationUnits = (texts: VibrationTexts, was: UnitSystem): void => {
  const now: UnitSystem = was === 'inch' ? 'metric' : 'inch'
  for (const [key, text] of Object.entries(texts.values)) {
    const read = readTypedNumber(text, 'plain', was)
    if (read.ok)
      texts.values[key] = String(Number(fromCore(velocity(read.value, was), 'distance', now).toPrecision(4)))
  }
}

/** Reads the boxes; what is empty was not taken. */
export const readVibration = (
  texts: VibrationTexts,
  moment: 'before' | 'after',
  units: UnitSystem,
  words: Words,
): {
  readonly faults: Readonly<Record<string, string>>
  readonly payload: OpeningEntries['vibration-noted'] | null
} => {
  const faults: Record<string, string> = {}
  const points = VIBRATION_PLACES.flatMap((at) =>
    VIBRATION_WAYS.flatMap((way) => {
      const key = pointKey(at, way)
      const read = readTypedNumber(texts.values[key] ?? '', 'plain', units)
      if (read.ok && read.value >= 0) return [{ at, way, value: read.value }]
      if (read.ok) faults[key] = typingWords(words).belowZero
      else if (read.fault !== 'empty') faults[key] = typingWords(words).faults[read.fault]
      return []
    }),
  )
  return {
    faults,
    payload:
      points.length > 0 && Object.keys(faults).length === 0
        ? { units, moment, points, words: texts.words.trim() }
        : null,
  }
}
