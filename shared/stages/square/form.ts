import type { SquareEntries } from '../../../core/stages/square/entries'
import type { UnitSystem } from '../../../core/units/unitSystem'
import { boxReader } from '../../forms/boxes'
import { unitOf, withUnit } from '../../forms/typed'
import type { Telling } from '../../wording/telling'

/** What stands in the boxes: both distances from one edge. */
export interface SquareTexts {
  units: UnitSystem
  edge: SquareEntries['motor-squared']['edge']
  sheaveEnd: string
  farEnd: string
  words: string
}

export const blankSquare = (units: UnitSystem): SquareTexts => ({
  units,
  edge: 'far-side',
  sheaveEnd: '',
  farEnd: '',
  words: '',
})

/** The same texts meaning the same in other units. */
export const nameSquareUnits = (texts: SquareTexts, was: UnitSystem): void => {
  texts.sheaveEnd = withUnit(texts.sheaveEnd, unitOf('distance', was))
  texts.farEnd = withUnit(texts.farEnd, unitOf('distance', was))
}

/** Reads both distances; `half` while only one of them stands there. */
export const readSquare = (
  texts: SquareTexts,
  telling: Telling,
): {
  readonly faults: Readonly<Record<string, string>>
  readonly half: boolean
  readonly payload: SquareEntries['motor-squared'] | null
} => {
  const { faults, number } = boxReader(telling)
  const sheaveEnd = number(texts.sheaveEnd, 'sheaveEnd', 'distance', 'zero')
  const farEnd = number(texts.farEnd, 'farEnd', 'distance', 'zero')
  const whole = sheaveEnd !== null && farEnd !== null
  return {
    faults,
    half: !whole && (sheaveEnd !== null || farEnd !== null),
    payload: whole
      ? { units: telling.units, sheaveEnd, farEnd, edge: texts.edge, words: texts.words.trim() }
      : null,
  }
}
