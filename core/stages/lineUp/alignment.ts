import type { LogEntry } from '../../logbook/entry'
import { sameSettings, type Settings } from '../../register/setSheaves'

/** What was checked between two corrections, and the correction that ended it. */
export interface LineRound {
  readonly contacts: LogEntry<'contacts-checked'> | null
  /** The last gaps read; earlier ones stay in the logbook. */
  readonly reading: LogEntry<'sheaves-read'> | null
  readonly correction: LogEntry<'line-corrected'> | null
  /** How far sheaves that can be set stood open when it was read. */
  readonly turns: Settings
}

/** Rounds of lining up; the last one is under way. */
export type Alignment = readonly [...(readonly LineRound[]), LineRound]

const EMPTY: LineRound = { contacts: null, reading: null, correction: null, turns: {} }
export const NOT_LINED_UP: Alignment = [EMPTY]

/** Keeps what was checked; a sheave that was set otherwise since the round was read begins another. */
export const keepAlignment = (now: Alignment, e: LogEntry, turns: Settings): Alignment => {
  const under = now[now.length - 1] as LineRound
  const unread = under.contacts === null && under.reading === null
  const goesOn = unread || sameSettings(under.turns, turns)
  const last = goesOn ? { ...under, turns } : { ...EMPTY, turns }
  const before = goesOn ? now.slice(0, -1) : now
  switch (e.kind) {
    case 'contacts-checked':
      return [...before, { ...last, contacts: e }]
    case 'sheaves-read':
      return [...before, { ...last, reading: e }]
    case 'line-corrected':
      return [...now.slice(0, -1), { ...under, correction: e }, EMPTY]
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
