import { levelWords, typingWords } from '../wording/en'
import { readTypedNumber, type TypedMeasure } from '../../core/units/typedNumber'
import type { UnitSystem } from '../../core/units/unitSystem'
import type { Telling } from '../wording/telling'

/** Reads the boxes of a form one by one, and keeps at each by its key what can't be read. */
export const boxReader = ({ words, units }: Telling) => {
  const faults: Record<string, string> = {}
  /** The figure in a box, in the box's unit; null while there is none or it can't be. */
  const number = (
    text: string,
    key: string,
    measure: TypedMeasure,
    least?: 'zero' | 'above',
  ): number | null => {
    const read = readTypedNumber(text, measure, units)
    if (!read.ok) {
      if (read.fault !== 'empty') faults[key] = typingWords(words).faults[read.fault]
      return null
    }
    if (least === 'zero' && read.value < 0) faults[key] = levelWords(words).form.feelerBelowZero
    if (least === 'above' && read.value <= 0) faults[key] = levelWords(words).form.aboveZero
    return key in faults ? null : read.value
  }
  return { faults, number }
}

/** A level's sensitivity as typed, meaning the same in the other units: 1 mil/in is 0.1 mm/100 mm. It carries no unit. */
export const sensitivityFrom = (text: string, was: UnitSystem): string => {
  const read = readTypedNumber(text, 'plain', was)
  return read.ok ? String(Number((read.value * (was === 'inch' ? 0.1 : 10)).toPrecision(10))) : text
}
