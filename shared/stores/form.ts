import { storeWords } from '../wording/viewWords'
import { readTypedNumber } from '../../core/units/typedNumber'
import type { UnitSystem } from '../../core/units/unitSystem'
import { issuesOf } from '../calculation/issues'
import { typingWords } from '../wording/en'
import type { Words } from '../wording/words'
import { newLot, type NewLot } from './lot'

/** What stands in the boxes of shims that are put into the stores. */
export interface LotTexts {
  units: UnitSystem
  thickness: string
  kind: 'plain' | 'laminated'
  layer: string
  size: string
  place: string
  counted: string
  low: string
}

export const blankLot = (units: UnitSystem): LotTexts => ({
  units,
  thickness: '',
  kind: 'plain',
  layer: '',
  size: '',
  place: '',
  counted: '',
  low: '0',
})

/** A count as it is typed: digits alone. Null for anything else. */
export const readCount = (typed: string): number | null => {
  const text = typed.trim()
  return /^\d{1,6}$/.test(text) ? Number(text) : null
}

/** Reads the boxes; faults by their names. */
export const readLot = (
  texts: LotTexts,
  id: string,
  words: Words,
): { readonly lot: NewLot | null; readonly faults: Readonly<Record<string, string>> } => {
  const faults: Record<string, string> = {}
  const leaf = (box: 'thickness' | 'layer'): number => {
    if (texts[box].trim() === '') {
      faults[box] = storeWords.form.needs[box]
      return NaN
    }
    const read = readTypedNumber(texts[box], 'displacement', texts.units)
    if (read.ok) return read.value
    faults[box] = typingWords(words).faults[read.fault]
    return NaN
  }
  const whole = (box: 'counted' | 'low'): number => {
    const read = readCount(texts[box])
    if (read === null) faults[box] = storeWords.form.whole
    return read ?? NaN
  }
  const given = {
    id,
    units: texts.units,
    thickness: leaf('thickness'),
    kind: texts.kind,
    layer: texts.kind === 'laminated' ? leaf('layer') : null,
    size: texts.size,
    place: texts.place,
    counted: whole('counted'),
    low: whole('low'),
  }
  if (Object.keys(faults).length > 0) return { lot: null, faults }
  const parsed = newLot.safeParse(given)
  if (parsed.success) return { lot: parsed.data, faults }
  return { lot: null, faults: Object.fromEntries(issuesOf(parsed.error).map((i) => [i.path, i.message])) }
}
