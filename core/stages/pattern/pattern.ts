import type { LogEntry } from '../../logbook/entry'

/** The pattern as it was found before anything was disturbed; null where nobody kept it. */
export type Pattern = LogEntry<'contact-painted'> | null

export const keepPattern = (now: Pattern, e: LogEntry): Pattern =>
  e.kind === 'contact-painted' && e.payload.moment === 'as-found' ? e : now
