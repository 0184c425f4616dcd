import type { EntryPayloads } from '../../../core/logbook/payloads'
import type { UnitSystem } from '../../../core/units/unitSystem'
import { boxReader } from '../../forms/boxes'
import { unitOf, withUnit } from '../../forms/typed'
import { backlashWords } from '../../wording/en'
import type { Telling } from '../../wording/telling'
import { MOST_LAYERS } from './entries'

/** What lies under the blocks as it was found, and its marks. */
export interface MarkTexts {
  units: UnitSystem
  layer: string
  under: string[]
  pins: 'marked' | 'none'
  marks: string
  photographs: string[]
  words: string
}

/** The same texts meaning the same in other units. */
export const nameMarkUnits = (texts: MarkTexts, was: UnitSystem): void => {
  texts.layer = withUnit(texts.layer, unitOf('displacement', was))
}

export const readMarks = (
  texts: MarkTexts,
  telling: Telling,
): {
  readonly faults: Readonly<Record<string, string>>
  readonly payload: EntryPayloads['layers-marked'] | null
} => {
  const { faults, number } = boxReader(telling)
  const layer = number(texts.layer, 'layer', 'displacement', 'above')
  const under = texts.under.map((text, i) => {
    const n = Number(text.trim())
    if (text.trim() === '') return null
    if (Number.isInteger(n) && n >= 0 && n <= MOST_LAYERS) return n
    faults[`under.${i}`] = backlashWords(telling.words).faults.whole
    return null
  })
  const whole = under.filter((n) => n !== null)
  return {
    faults,
    payload:
      layer === null || whole.length < under.length || Object.keys(faults).length > 0
        ? null
        : {
            units: telling.units,
            layer,
            under: whole,
            pins: texts.pins,
            marks: texts.marks.trim(),
            photographs: texts.photographs,
            words: texts.words.trim(),
          },
  }
}
