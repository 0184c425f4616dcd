import type { LogEntry } from './entry'

/**
 * The entries that stand: each corrected entry is replaced, in its own place, by the entry that
 * corrects it, and so on along the chain. Order is that of the logbook otherwise.
 */
export const standingEntries = (entries: readonly LogEntry[]): readonly LogEntry[] => {
  const successor = new Map<string, LogEntry>()
  const known = new Set(entries.map((e) => e.id))
  for (const e of entries)
    if (e.supersedes && known.has(e.supersedes.entry)) successor.set(e.supersedes.entry, e)
  const latest = (e: LogEntry): LogEntry => {
    let now = e
    for (let next = successor.get(now.id); next; next = successor.get(now.id)) now = next
    return now
  }
  return entries.filter((e) => !(e.supersedes && known.has(e.supersedes.entry))).map(latest)
}
