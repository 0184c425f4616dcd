import { findingsWords, movesWords } from './en'
import type { FootedState } from '../../core/jobs/footed'
import { plainMeaning, type Meaning } from './meaning'
import type { Telling } from './telling'

/** What the move stage says before anything is typed. */
export const meaningOfMove = (state: FootedState, { words }: Telling): Meaning => {
  const w = movesWords(words).headlines
  if (state.closing) return plainMeaning('done', findingsWords(words).moves(state.moves.length))
  if (!state.setUp) return plainMeaning('todo', w.setUpFirst)
  if (state.plan?.stale) return plainMeaning('stale', w.planStale)
  if (state.plan) return plainMeaning('todo', state.plan.footwork.planes.v ? w.shimsPlanned : w.sidePlanned)
  return state.moves.length > 0 && state.latest.sets.length === 0
    ? plainMeaning('done', w.logged)
    : plainMeaning('todo', w.free)
}
