import type { LogEntry } from './entry'

/** Whether an entry is to be read further up than where it stands. */
export const isOutOfOrder = (e: LogEntry): boolean => e.supersedes !== null || e.before !== null

/**
 * The entries that stand, in the order they are to be read: each corrected entry is replaced, in its
 * own place, by the entry that corrects it, and so on along the chain; an entry that a person placed
 * before a move stands right before it. Otherwise the order of the logbook.
 */
export const standingEntries = (entries: readonly LogEntry[]): readonly LogEntry[] => {
  if (!entries.some(isOutOfOrder)) return entries
  const known = new Set(entries.map((e) => e.id))
  const successor = new Map<string, LogEntry>()
  const placed = new Map<string, LogEntry[]>()
  const own: LogEntry[] = []
  for (const e of entries) {
    if (e.supersedes && known.has(e.supersedes.entry)) successor.set(e.supersedes.entry, e)
    else if (e.before !== null && e.before !== e.id && known.has(e.before))
      placed.set(e.before, [...(placed.get(e.before) ?? []), e])
    else own.push(e)
  }
  const latest = (e: LogEntry): LogEntry => {
    let now = e
    for (let next = successor.get(now.id); next; next = successor.get(now.id)) now = next
    return now
  }
  const standing: LogEntry[] = []
  const put = (e: LogEntry) => {
    for (const earlier of placed.get(e.id) ?? []) put(earlier)
    standing.push(latest(e))
  }
  for (const e of own) put(e)
  return standing
}
