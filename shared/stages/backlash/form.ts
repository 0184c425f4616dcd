import type { BacklashBy } from '../../../core/gear/backlash'
import type { EntryPayloads } from '../../../core/logbook/payloads'
import type { UnitSystem } from '../../../core/units/unitSystem'
import { boxReader } from '../../forms/boxes'
import { unitOf, withUnit } from '../../forms/typed'
import { backlashWords } from '../../wording/en'
import type { Telling } from '../../wording/telling'

/** Boxes round the gear: a quarter turn each. */
export const BACKLASH_BOXES = 4

export interface BacklashTexts {
  units: UnitSystem
  by: BacklashBy
  readings: string[]
  words: string
}

export const blankBacklash = (units: UnitSystem, by: BacklashBy): BacklashTexts => ({
  units,
  by,
  readings: Array.from({ length: BACKLASH_BOXES }, () => ''),
  words: '',
})

/** The same texts meaning the same in other units. */
export const nameBacklashUnits = (texts: BacklashTexts, was: UnitSystem): void => {
  texts.readings = texts.readings.map((t) => withUnit(t, unitOf('displacement', was)))
}

type Faults = Readonly<Record<string, string>>

/** Reads the boxes; those left empty were not read. */
export const readBacklashTexts = (
  texts: BacklashTexts,
  telling: Telling,
): { readonly faults: Faults; readonly payload: EntryPayloads['backlash-read'] | null } => {
  const { faults, number } = boxReader(telling)
  const read = texts.readings.map((t, i) => number(t, `readings.${i}`, 'displacement', 'zero'))
  const readings = read.filter((r) => r !== null)
  if (Object.keys(faults).length === 0 && readings.length === 0)
    return { faults: { 'readings.0': backlashWords(telling.words).faults.none }, payload: null }
  return {
    faults,
    payload:
      Object.keys(faults).length > 0
        ? null
        : { units: telling.units, by: texts.by, readings, words: texts.words.trim() },
  }
}

/** Layers in or out under each block, as typed. */
export interface LayerTexts {
  layers: string[]
  words: string
}

/** Reads whole layers, out with a minus; no more can come out than lie there. */
export const readLayers = (
  { layers, words }: LayerTexts,
  lie: readonly number[],
  telling: Telling,
): { readonly faults: Faults; readonly payload: EntryPayloads['layers-changed'] | null } => {
  const w = backlashWords(telling.words).faults
  const faults: Record<string, string> = {}
  const given = layers.map((text, i) => {
    const typed = text.trim().replace('−', '-')
    const n = typed === '' ? 0 : Number(typed)
    if (!Number.isInteger(n) || Math.abs(n) > 200) faults[`layers.${i}`] = w.whole
    else if ((lie[i] ?? 0) + n < 0) faults[`layers.${i}`] = w.short(String(lie[i] ?? 0))
    return n
  })
  if (Object.keys(faults).length === 0 && given.every((n) => n === 0)) faults['layers.0'] = w.nothing
  return {
    faults,
    payload: Object.keys(faults).length > 0 ? null : { layers: given, words: words.trim() },
  }
}
