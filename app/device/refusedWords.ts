import { doorWords, kindsWords, objectionsWords } from '~~/shared/wording/en'
import type { Words } from '~~/shared/wording/words'
import type { Refused } from './composeEntry'

/** Why an entry was not logged, in words. Loaded once something is refused, or ahead of that. */
export const refusedWords = (refused: Refused, words: Words): string =>
  refused.why === 'objection'
    ? objectionsWords(words)[refused.code]
    : doorWords(words)[refused.why === 'role' ? 'notForRole' : 'needsSecond'](
        kindsWords(words)[refused.kind],
        refused.role,
      )
