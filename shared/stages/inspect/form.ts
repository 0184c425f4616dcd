import type { BeltMachine, SheavePlace } from '../../../core/register/beltMachine'
import type { DrivePlace, InspectEntries } from '../../../core/stages/inspect/entries'
import type { Found } from '../../../core/stages/look/entries'
import { readTypedNumber } from '../../../core/units/typedNumber'
import { inspectWords, typingWords } from '../../wording/en'
import { eighths } from '../../wording/lines'
import type { Telling } from '../../wording/telling'

/** What is being written of one place. */
export interface PlaceTexts {
  found: Found | ''
  words: string
  photographs: string[]
}
export const BLANK_PLACE: PlaceTexts = { found: '', words: '', photographs: [] }

/** What stands on the inspection, by place, and the settings as typed. */
export interface InspectTexts {
  place: DrivePlace
  places: Partial<Record<DrivePlace, PlaceTexts>>
  settings: Record<SheavePlace, string>
}

export const blankInspection = (): InspectTexts => ({
  place: 'belts',
  places: {},
  settings: { motor: '', driven: '' },
})

/** Reads what is written of a place; `asks` says what is missing once something was begun. */
export const readDrivePlace = (
  texts: InspectTexts,
  { words: chosen }: Pick<Telling, 'words'>,
): { readonly asks: string; readonly payload: InspectEntries['drive-looked'] | null } => {
  const { found, words, photographs } = texts.places[texts.place] ?? BLANK_PLACE
  const w = inspectWords(chosen).form
  const said = words.trim()
  if (found === '') return { asks: said || photographs.length > 0 ? w.chooseFound : '', payload: null }
  if (found === 'to-report' && said === '' && photographs.length === 0)
    return { asks: w.reportWhat, payload: null }
  return { asks: '', payload: { places: [texts.place], found, words: said, photographs: [...photographs] } }
}

/** Reads how far a sheave stands open: turns from closed, in halves or eighths as typed. */
export const readSetting = (
  text: string,
  place: SheavePlace,
  machine: BeltMachine,
  { words }: Pick<Telling, 'words'>,
): { readonly fault: string; readonly payload: InspectEntries['setting-read'] | null } => {
  const { build } = machine.sheaves[place]
  if (build?.kind !== 'variable') return { fault: '', payload: null }
  const read = readTypedNumber(text, 'plain', 'metric')
  if (!read.ok)
    return { fault: read.fault === 'empty' ? '' : typingWords(words).faults[read.fault], payload: null }
  if (read.value < 0) return { fault: typingWords(words).belowZero, payload: null }
  if (read.value > build.turnsMost)
    return { fault: inspectWords(words).view.tooFar(eighths(build.turnsMost)), payload: null }
  return { fault: '', payload: { place, turns: read.value, words: '' } }
}
