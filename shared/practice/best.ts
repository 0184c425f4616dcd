import type { LessonId } from '../../core/practice/lessons'
import type { PracticeResult } from './result'

const RANK = { in: 2, edge: 1, out: 0 } as const

const better = (a: PracticeResult, b: PracticeResult): boolean =>
  RANK[a.verdict] !== RANK[b.verdict]
    ? RANK[a.verdict] > RANK[b.verdict]
    : a.helped !== b.helped
      ? !a.helped
      : a.moves - a.fewest < b.moves - b.fewest

/** The best try of each lesson: the verdict first, then without being told, then the fewest moves too many. */
export const bestOf = (
  results: readonly PracticeResult[],
): Readonly<Partial<Record<LessonId, PracticeResult>>> => {
  const best: Partial<Record<LessonId, PracticeResult>> = {}
  for (const r of results) {
    if (r.lesson === null) continue
    const was = best[r.lesson]
    if (!was || better(r, was)) best[r.lesson] = r
  }
  return best
}
