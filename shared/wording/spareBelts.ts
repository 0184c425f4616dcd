import type { SpareBelts, SparesFor } from '../../core/stores/spareBelts'
import { toCore } from '../../core/units/unitSystem'
import { beltFactsWords, fitWords } from './en'
import { figure } from './figures'
import type { Telling } from './telling'

/** What lies in a lot: section and make, length, and whether a piece is one belt, a set or a band. */
export const spareName = (
  { section, construction, units: own, length, together }: SpareBelts,
  { words, units }: Pick<Telling, 'words' | 'units'>,
): string => {
  const w = fitWords(words).spares
  return [
    construction ? `${section} ${beltFactsWords(words).constructions[construction]}` : section,
    figure(toCore(length, 'distance', own), 'distance', units, { unit: true }),
    together === 1 ? w.loose : construction === 'banded' ? w.band(together) : w.set(together),
  ].join(', ')
}

/** Nearer than this share it is the registered length. */
const SAME = 5e-4

/** Where it lies, how much of it, and how its length compares to the register's. */
export const spareSays = (
  { lot, now, pieces, enough, apart }: SparesFor,
  { words }: Pick<Telling, 'words'>,
): string => {
  const w = fitWords(words).spares
  const by = `${(100 * Math.abs(apart ?? 0)).toFixed(1)} %`
  return [
    ...(lot.place ? [lot.place] : []),
    enough ? w.there(now) : w.tooFew(now, pieces),
    ...(apart === null
      ? []
      : [Math.abs(apart) < SAME ? w.sameLength : apart > 0 ? w.longer(by) : w.shorter(by)]),
  ].join(' · ')
}
