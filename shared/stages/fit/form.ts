import type { BeltMachine } from '../../../core/register/beltMachine'
import type { FitEntries } from '../../../core/stages/fit/entries'
import { toCore, type UnitSystem } from '../../../core/units/unitSystem'
import { boxReader } from '../../forms/boxes'
import { unitOf, withUnit } from '../../forms/typed'
import { fitWords } from '../../wording/en'
import { figure } from '../../wording/figures'
import type { Telling } from '../../wording/telling'

/** What stands on the sheet of the belts that went on. */
export interface FitTexts {
  units: UnitSystem
  belts: 'same' | 'new'
  length: string
  matched: 'yes' | 'no' | 'unknown'
  words: string
}

export const blankFit = (units: UnitSystem): FitTexts => ({
  units,
  belts: 'same',
  length: '',
  matched: 'unknown',
  words: '',
})

/** The same texts meaning the same in other units. */
export const nameFitUnits = (texts: FitTexts, was: UnitSystem): void => {
  texts.length = withUnit(texts.length, unitOf('distance', was))
}

/** A belt of another length than this share away from the registered one is another belt. */
const SAME_BELT = 0.01

/** Reads it; asks where the length is not that of the register. Only new belts are described. */
export const readFit = (
  texts: FitTexts,
  machine: BeltMachine,
  telling: Telling,
): {
  readonly fault: string
  readonly asks: string
  readonly payload: FitEntries['belts-fitted'] | null
} => {
  const { units } = telling
  const words = texts.words.trim()
  if (texts.belts === 'same')
    return { fault: '', asks: '', payload: { belts: 'same', units, length: null, matched: null, words } }
  const { faults, number } = boxReader(telling)
  const length = number(texts.length, 'length', 'distance', 'above')
  const fault = faults.length ?? ''
  const known = machine.belts.length
  const registered = known === undefined ? null : toCore(known, 'distance', machine.units)
  const typed = length === null ? null : toCore(length, 'distance', units)
  const odd = registered !== null && typed !== null && Math.abs(typed / registered - 1) > SAME_BELT
  return {
    fault,
    asks: odd ? fitWords(telling.words).lengthOdd(figure(registered, 'distance', units, { unit: true })) : '',
    payload: fault
      ? null
      : {
          belts: 'new',
          units,
          length,
          matched: texts.matched === 'unknown' ? null : texts.matched === 'yes',
          words,
        },
  }
}
