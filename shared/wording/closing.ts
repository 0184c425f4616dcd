import { closingWords } from './en'
import type { Closing, Outcome } from '../../core/stages/close/closing'
import { plainMeaning, type Meaning } from './meaning'
import type { Telling } from './telling'

/** What closing now would mean. */
export const meaningOfClosing = (closing: Closing, outcome: Outcome, { words }: Telling): Meaning => {
  const w = closingWords(words)
  if (closing) return plainMeaning('done', w.closedBy(closing.payload.signedBy))
  const [reason] = outcome.exceptions
  const mark = outcome.verdict === 'unknown' ? 'todo' : outcome.verdict
  if (reason === 'edge') return plainMeaning('edge', w.needs[reason])
  if (reason) return plainMeaning(mark === 'in' || mark === 'edge' ? 'todo' : mark, w.needs[reason])
  return plainMeaning(mark, outcome.verdict === 'edge' ? w.edge : w.inBand)
}
