import type { LogEntry } from '../../logbook/entry'

/** What was checked between two corrections, and the correction that ended it. */
export interface LineRound {
  readonly contacts: LogEntry<'contacts-checked'> | null
  /** The last gaps read; earlier ones stay in the logbook. */
  readonly reading: LogEntry<'sheaves-read'> | null
  readonly correction: LogEntry<'line-corrected'> | null
}

/** Rounds of lining up; the last one is under way. */
export type Alignment = readonly [...(readonly LineRound[]), LineRound]

const EMPTY: LineRound = { contacts: null, reading: null, correction: null }
export const NOT_LINED_UP: Alignment = [EMPTY]

export const keepAlignment = (now: Alignment, e: LogEntry): Alignment => {
  const last = now[now.length - 1] as LineRound
  const before = now.slice(0, -1)
  switch (e.kind) {
    case 'contacts-checked':
      return [...before, { ...last, contacts: e }]
    case 'sheaves-read':
      return [...before, { ...last, reading: e }]
    case 'line-corrected':
      return [...before, { ...last, correction: e }, EMPTY]
    default:
      return now
  }
}

/** What the round under way was read by: gaps, else contacts; null before either. */
export const lastAlignment = (
  now: Alignment,
): LogEntry<'sheaves-read'> | LogEntry<'contacts-checked'> | null => {
  const last = now[now.length - 1] as LineRound
  return last.reading ?? last.contacts
}
