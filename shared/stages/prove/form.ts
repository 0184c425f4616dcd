import type { ProveEntries } from '../../../core/stages/prove/entries'
import { readTypedNumber } from '../../../core/units/typedNumber'
import type { UnitSystem } from '../../../core/units/unitSystem'
import { namedParts, unitOf } from '../../forms/typed'
import { typingWords } from '../../wording/en'
import type { Words } from '../../wording/words'

/** What stands in the boxes of the proof. */
export interface ProofTexts {
  units: UnitSystem
  /** Mean gap between the faces. */
  gap: string
  /** Who switches the motor on for its bump. */
  by: string
}

export const blankProof = (units: UnitSystem): ProofTexts => ({ units, gap: '', by: '' })

/** The same texts meaning the same in other units. */
export const nameProofUnits = (texts: ProofTexts, was: UnitSystem): void => {
  texts.gap = namedParts(texts.gap, unitOf('distance', was))
}

/** Reads the gap; an empty box means that nobody felt it. */
export const readGap = (
  { gap }: ProofTexts,
  units: UnitSystem,
  words: Words,
): { readonly fault: string; readonly payload: ProveEntries['coupling-made-up'] | null } => {
  const read = readTypedNumber(gap, 'distance', units)
  if (read.ok && read.value >= 0) return { fault: '', payload: { units, gap: read.value } }
  if (read.ok) return { fault: typingWords(words).belowZero, payload: null }
  return read.fault === 'empty'
    ? { fault: '', payload: { units, gap: null } }
    : { fault: typingWords(words).faults[read.fault], payload: null }
}
