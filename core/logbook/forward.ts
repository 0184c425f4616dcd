import type { LogEntry } from './entry'
import { isOutOfOrder, standingEntries } from './standing'

/** The logbook that a longer one went on from. */
const shorter = new WeakMap<readonly LogEntry[], readonly LogEntry[]>()

/** A logbook with one more entry; folding it goes on from what the shorter one came to. */
export const extended = (logbook: readonly LogEntry[], entry: LogEntry): readonly LogEntry[] => {
  const longer = [...logbook, entry]
  shorter.set(longer, logbook)
  return longer
}

/**
 * Takes a logbook entry by entry, in the order they are to be read. A logbook that was made by `extended`
 * goes on from what the one before came to, so that one entry more costs one step, however long it is;
 * unless that entry belongs further up.
 */
export const takenForward = <Facts extends object>(
  blank: Facts,
  take: (now: Facts, entry: LogEntry) => Facts,
): ((logbook: readonly LogEntry[]) => Facts) => {
  const known = new WeakMap<readonly LogEntry[], Facts>()
  return (logbook) => {
    const already = known.get(logbook)
    if (already) return already
    const before = shorter.get(logbook)
    const last = logbook[logbook.length - 1]
    const upToThere = before && last && !isOutOfOrder(last) ? known.get(before) : undefined
    const facts =
      upToThere && last
        ? take(upToThere, last)
        : standingEntries(logbook).reduce((now, e) => take(now, e), blank)
    known.set(logbook, facts)
    // What lies behind is worked out: without this a long job would keep every shorter one alive.
    shorter.delete(logbook)
    return facts
  }
}
