import type { BeltConstruction } from '../../core/register/beltMachine'
import { readTypedNumber } from '../../core/units/typedNumber'
import type { UnitSystem } from '../../core/units/unitSystem'
import { issuesOf } from '../calculation/issues'
import { typingWords } from '../wording/en'
import { storeWords } from '../wording/viewWords'
import type { Words } from '../wording/words'
import { readCount } from './form'
import { newSpareBelts, type NewSpareBelts } from './spareBelts'

/** What stands in the boxes of belts that are put into the stores. */
export interface SpareTexts {
  section: string
  construction: BeltConstruction | ''
  units: UnitSystem
  length: string
  piece: 'loose' | 'set'
  together: string
  place: string
  counted: string
  low: string
}

export const blankSpare = (units: UnitSystem): SpareTexts => ({
  section: '',
  construction: '',
  units,
  length: '',
  piece: 'loose',
  together: '',
  place: '',
  counted: '',
  low: '0',
})

/** Reads the boxes; faults by their names. */
export const readSpare = (
  texts: SpareTexts,
  id: string,
  words: Words,
): { readonly belts: NewSpareBelts | null; readonly faults: Readonly<Record<string, string>> } => {
  const faults: Record<string, string> = {}
  const w = storeWords.belts.form
  const typed = readTypedNumber(texts.length, 'distance', texts.units)
  if (!typed.ok)
    faults.length = typed.fault === 'empty' ? w.needsLength : typingWords(words).faults[typed.fault]
  const whole = (box: 'counted' | 'low'): number => {
    const read = readCount(texts[box])
    if (read === null) faults[box] = storeWords.form.whole
    return read ?? NaN
  }
  const together = texts.piece === 'loose' ? 1 : readCount(texts.together)
  if (together === null || (texts.piece === 'set' && together < 2)) faults.together = w.needsTogether
  const parsed = newSpareBelts.safeParse({
    id,
    section: texts.section.trim(),
    construction: texts.construction || null,
    units: texts.units,
    length: typed.ok ? typed.value : NaN,
    together: together ?? NaN,
    place: texts.place.trim(),
    counted: whole('counted'),
    low: whole('low'),
  })
  if (!parsed.success) for (const { path, message } of issuesOf(parsed.error)) faults[path] ??= message
  return { belts: parsed.success && Object.keys(faults).length === 0 ? parsed.data : null, faults }
}
