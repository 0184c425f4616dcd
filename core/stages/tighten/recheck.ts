import type { LogEntry } from '../../logbook/entry'
import { lastAlignment, type Alignment } from '../lineUp/alignment'
import type { TensionRounds } from '../tension/rounds'

type LineEntry = LogEntry<'sheaves-read'> | LogEntry<'contacts-checked'>

/** The base bolts drawn down, what had been read before, and what was read since. */
export interface Tightening {
  readonly entry: LogEntry<'base-tightened'> | null
  readonly before: { readonly line: LineEntry | null; readonly tension: LogEntry<'tension-read'> | null }
  readonly since: { readonly line: LineEntry | null; readonly tension: LogEntry<'tension-read'> | null }
}

const NOTHING = { line: null, tension: null }
export const NOT_TIGHTENED: Tightening = { entry: null, before: NOTHING, since: NOTHING }

/** Keeps what tightening may have changed; whatever moves the motor again undoes it. */
export const keepTightening = (
  now: Tightening,
  e: LogEntry,
  alignment: Alignment,
  rounds: TensionRounds,
): Tightening => {
  switch (e.kind) {
    case 'base-tightened':
      return {
        entry: e,
        before: { line: lastAlignment(alignment), tension: rounds[rounds.length - 1]?.reading ?? null },
        since: NOTHING,
      }
    case 'contacts-checked':
    case 'sheaves-read':
      return now.entry ? { ...now, since: { ...now.since, line: e } } : now
    case 'tension-read':
      return now.entry ? { ...now, since: { ...now.since, tension: e } } : now
    case 'line-corrected':
    case 'tension-adjusted':
    case 'slacked-off':
      return now.entry ? NOT_TIGHTENED : now
    default:
      return now
  }
}
