import { footworkIn } from '../history/footwork'
import type { EntryBody } from '../logbook/entry'
import { MACHINE_ROLES } from '../plan/pairNames'

/** Moves that an entry tells of: each machine shimmed and each machine pushed is one, as in `fewestMoves`. */
export const movesIn = (e: EntryBody): number => {
  const work = footworkIn(e)
  if (!work) return 0
  return MACHINE_ROLES.reduce((n, role) => {
    const shimmed = work.changes.some((c) => c.machine === role && c.putIn.length + c.takenOut.length > 0)
    const pushed = work.side.some((s) => s.machine === role && s.moved !== 0)
    return n + (shimmed ? 1 : 0) + (pushed ? 1 : 0)
  }, 0)
}

/** Moves of a whole logbook; entries that stand. */
export const movesMade = (entries: readonly EntryBody[]): number =>
  entries.reduce((n, e) => n + movesIn(e), 0)
