import type { LogEntry } from '../../logbook/entry'
import { sameSettings, type Settings } from '../../register/setSheaves'

/** What was read between two turns of the screws, and the turns that ended it. */
export interface TensionRound {
  /** The last reading; earlier ones stay in the logbook. */
  readonly reading: LogEntry<'tension-read'> | null
  readonly adjusted: LogEntry<'tension-adjusted'> | null
  /** How far sheaves that can be set stood open when it was read. */
  readonly turns: Settings
}
/** Rounds of tensioning since the belts were fitted; the last one is under way. */
export type TensionRounds = readonly [...(readonly TensionRound[]), TensionRound]

const EMPTY: TensionRound = { reading: null, adjusted: null, turns: {} }
export const UNTENSIONED: TensionRounds = [EMPTY]

/** Keeps what was read and turned; a sheave that was set otherwise since the round was read begins another. */
export const keepTension = (now: TensionRounds, e: LogEntry, turns: Settings): TensionRounds => {
  const last = now[now.length - 1] as TensionRound
  const before = now.slice(0, -1)
  switch (e.kind) {
    case 'tension-read':
      return last.reading === null || sameSettings(last.turns, turns)
        ? [...before, { ...last, reading: e, turns }]
        : [...now, { ...EMPTY, reading: e, turns }]
    case 'tension-adjusted':
      return [...before, { ...last, adjusted: e }, EMPTY]
    case 'slacked-off':
      // Whatever was learned of these belts on these screws is begun anew with the next ones.
      return UNTENSIONED
    case 'line-corrected':
      // A motor that was turned or slid pulls its belts otherwise than was read.
      return last.reading === null ? now : [...now, EMPTY]
    default:
      return now
  }
}

/** The first reading of the belts as they were found: none once they were slackened. */
export type TensionFound = TensionRound | 'slackened' | null

export const keepFound = (now: TensionFound, e: LogEntry, turns: Settings): TensionFound => {
  if (now !== null) return now
  if (e.kind === 'slacked-off') return 'slackened'
  return e.kind === 'tension-read' ? { ...EMPTY, reading: e, turns } : null
}
