import type { ReadRound } from '../../uncertainty/changeDoubt'
import type { Measurement } from './measurement'

/** The readings of a round as far as their own scatter goes; null when none are used. */
export const readRound = (m: Measurement): ReadRound | null => {
  const used = m.sets.filter((s) => m.used.includes(s.set.entry.id))
  const arranged = used[used.length - 1]?.set.arranged
  return arranged && m.combined
    ? { arrangement: arranged.arrangement, sets: used.length, fits: Object.values(m.combined.fits) }
    : null
}
