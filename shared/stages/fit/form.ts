import { allowancesOf } from '../../../core/belt/beltLimits'
import { judgeReplacement } from '../../../core/belt/replacement'
import type { BeltMachine } from '../../../core/register/beltMachine'
import type { FitEntries } from '../../../core/stages/fit/entries'
import { driveOf } from '../../../core/stages/lineUp/line'
import type { SparesFor } from '../../../core/stores/spareBelts'
import { fromCore, toCore, type Millimetres, type UnitSystem } from '../../../core/units/unitSystem'
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
  /** The lot of the stores they came from; empty for none. */
  spares: string
  words: string
}

export const blankFit = (units: UnitSystem): FitTexts => ({
  units,
  belts: 'same',
  length: '',
  matched: 'unknown',
  spares: '',
  words: '',
})

/** The same texts meaning the same in other units. */
export const nameFitUnits = (texts: FitTexts, was: UnitSystem): void => {
  texts.length = withUnit(texts.length, unitOf('distance', was))
}

/** A belt of another length than this share away from the registered one is another belt. */
const SAME_BELT = 0.01

/** Less than this is the same place: a tape reads no finer. */
const SAME_PLACE = 1

/** What a belt of this length makes of the base, in sentences; empty where the motor stays where it is. */
export const nearWords = (length: Millimetres, machine: BeltMachine, telling: Telling): string => {
  const w = fitWords(telling.words).near
  const drive = driveOf(machine)
  if (!drive) return ''
  const own = (x: number) => toCore(x, 'distance', machine.units)
  const left = machine.base.travelLeft === undefined ? null : own(machine.base.travelLeft)
  const judged = judgeReplacement(drive, length, left, allowancesOf(machine))
  if (!judged.ok) return w.tooShort
  const { change, inward, fits } = judged.value
  if (Math.abs(change) < SAME_PLACE) return ''
  const f = (x: number) => figure(Math.abs(x), 'distance', telling.units, { unit: true })
  return [
    w.moves(f(change), change > 0 ? w.further : w.nearer),
    ...(inward > 0 ? [w.layOn(f(inward))] : []),
    w.says[fits](left === null ? '' : f(left)),
  ].join(' ')
}

/** What a lot of the stores fills in: its length, and a set of as many belts as the drive has is a matched one. */
export const takeSpares = (texts: FitTexts, offer: SparesFor | null, units: UnitSystem): void => {
  texts.spares = offer?.lot.id ?? ''
  if (!offer) return
  const { lot } = offer
  texts.length = String(
    Number(fromCore(toCore(lot.length, 'distance', lot.units), 'distance', units).toPrecision(6)),
  )
  texts.matched = lot.together === 1 ? 'unknown' : offer.pieces === 1 ? 'yes' : 'no'
}

/** Reads it; asks where the length is not that of the register. Only new belts are described. */
export const readFit = (
  texts: FitTexts,
  machine: BeltMachine,
  telling: Telling,
  offers: readonly SparesFor[] = [],
): {
  readonly fault: string
  readonly asks: string
  /** Whether a belt of that length is near enough; empty where it is the one of the register. */
  readonly near: string
  readonly payload: FitEntries['belts-fitted'] | null
} => {
  const { units } = telling
  const words = texts.words.trim()
  if (texts.belts === 'same')
    return {
      fault: '',
      asks: '',
      near: '',
      payload: { belts: 'same', units, length: null, matched: null, words },
    }
  const { faults, number } = boxReader(telling)
  const length = number(texts.length, 'length', 'distance', 'above')
  const fault = faults.length ?? ''
  const known = machine.belts.length
  const registered = known === undefined ? null : toCore(known, 'distance', machine.units)
  const typed = length === null ? null : toCore(length, 'distance', units)
  const spares = offers.find((o) => o.lot.id === texts.spares)
  const odd = registered !== null && typed !== null && Math.abs(typed / registered - 1) > SAME_BELT
  return {
    fault,
    asks: odd ? fitWords(telling.words).lengthOdd(figure(registered, 'distance', units, { unit: true })) : '',
    near: typed === null ? '' : nearWords(typed, machine, telling),
    payload: fault
      ? null
      : {
          belts: 'new',
          units,
          length,
          matched: texts.matched === 'unknown' ? null : texts.matched === 'yes',
          ...(spares ? { spares: { lot: spares.lot.id, pieces: spares.pieces } } : {}),
          words,
        },
  }
}
