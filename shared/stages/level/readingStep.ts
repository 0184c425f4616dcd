import { levelWords } from '../../wording/en'
import type { LevelReading } from '../../../core/stages/level/entries'
import { toCore, type Slope, type UnitSystem } from '../../../core/units/unitSystem'
import { figure } from '../../wording/figures'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** What of a reading its slope comes from; which end is low stands in the sign before the feeler. */
type Read =
  | (Pick<Extract<LevelReading, { by: 'feeler' }>, 'by' | 'feeler' | 'supported'> & {
      readonly minus?: boolean
    })
  | Extract<LevelReading, { by: 'divisions' }>

/** The slope under a level unfolded, whichever way it was read; `was` the units of its entry. */
export const levelReadingStep = (
  name: string,
  read: Read,
  was: UnitSystem,
  slope: Slope,
  { words, units }: Telling,
): WorkingStep => {
  const w = levelWords(words).working
  const shown = (x: Slope) => figure(x, 'slope', units, { extra: 1 })
  const result = shown(slope)
  if (read.by === 'feeler') {
    const feeler = figure(toCore(read.feeler, 'displacement', was), 'displacement', units, { extra: 1 })
    const supported = figure(toCore(read.supported, 'distance', was), 'distance', units)
    const substituted = `${read.minus ? '−' : ''}${feeler} / ${supported}`
    return { name, formula: w.feelerFormula, substituted, result }
  }
  const { divisions, reversed } = read
  const each = shown(toCore(read.sensitivity, 'slope', was))
  return reversed === null
    ? { name, formula: w.divisionsFormula, substituted: `${divisions} × ${each}`, result }
    : {
        name,
        formula: w.reversedFormula,
        substituted: `(${divisions} − ${reversed}) / 2 × ${each}`,
        result,
      }
}
