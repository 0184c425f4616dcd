import type { Review } from '../../core/practice/reviews'
import type { PracticeResult } from './result'

/** What of a review is handed in; null while the try has no result of its own yet. */
export const resultOf = (
  review: Review,
  of: Pick<PracticeResult, 'id' | 'person' | 'lesson' | 'machine' | 'seed' | 'hands' | 'finishedAt'>,
): PracticeResult => ({
  ...of,
  faults: review.faults.map(({ fault, cured }) => ({ fault, cured })),
  verdict: review.verdict,
  moves: review.moves,
  fewest: review.fewest,
  asked: review.hints.length,
  helped: review.hints.includes('answer'),
  minutes: review.minutes,
  habits: review.habits.slice(-400),
  passed: review.moments.reduce((n, m) => n + (m.passedAt === null ? 0 : 1), 0),
})
