import { makeSafeWords, safetyWords } from './en'
import type { Safety } from '../../core/stages/makeSafe/safety'
import { plainMeaning, type Meaning } from './meaning'
import { powerWhy } from './safety'
import type { Telling } from './telling'

/** What the lockout means on its own stage. */
export const meaningOfSafety = (safety: Safety, closed: boolean, { words }: Telling): Meaning => {
  const w = makeSafeWords(words)
  if (closed) return plainMeaning('done', w.closed)
  if (safety.lost) return plainMeaning('stale', w.lost, powerWhy(safety.lost, { words }))
  if (safety.missing.length === 0) return plainMeaning('done', w.whole)
  if (safety.waived) return plainMeaning('todo', w.waived, safety.waived.payload.why)
  const next = safety.missing[0]
  const said = safetyWords(words)
  return plainMeaning(
    'todo',
    !next || next === 'isolated' ? w.nothingSafe : said.next(said.points[next].toLowerCase()),
  )
}
