import { safetyWords } from './en'
import { handsMayGo, type Safety, type PowerBack } from '../../core/stages/makeSafe/safety'
import { plainMeaning, type Meaning } from './meaning'
import type { Telling } from './telling'

/** Why the power is back. */
export const powerWhy = (entry: PowerBack, { words }: Pick<Telling, 'words'>): string =>
  entry.kind === 'power-restored'
    ? entry.payload.why
    : entry.kind === 'bump-begun'
      ? safetyWords(words).bumped(entry.payload.by)
      : safetyWords(words).ranHot

/** What the lockout means on its own stage. */
export const meaningOfSafety = (safety: Safety, closed: boolean, { words }: Telling): Meaning => {
  const w = safetyWords(words)
  if (closed) return plainMeaning('done', w.closed)
  if (safety.lost) return plainMeaning('stale', w.lost, powerWhy(safety.lost, { words }))
  if (safety.missing.length === 0) return plainMeaning('done', w.whole)
  if (safety.waived) return plainMeaning('todo', w.waived, safety.waived.payload.why)
  const next = safety.missing[0]
  return plainMeaning(
    'todo',
    !next || next === 'isolated' ? w.nothingSafe : w.next(w.points[next].name.toLowerCase()),
  )
}

/** What every other stage says of the lockout; null while hands may go to the machine or the job is closed. */
export const lockoutWarning = (safety: Safety, closed: boolean, { words }: Telling): string | null =>
  closed || handsMayGo(safety)
    ? null
    : safety.lost
      ? safetyWords(words).lostHere
      : safetyWords(words).missingHere
