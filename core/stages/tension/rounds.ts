import type { LogEntry } from '../../logbook/entry'

/** What was read between two turns of the screws, and the turns that ended it. */
export interface TensionRound {
  /** The last reading; earlier ones stay in the logbook. */
  readonly reading: LogEntry<'tension-read'> | null
  readonly adjusted: LogEntry<'tension-adjusted'> | null
}
/** Rounds of tensioning since the belts were fitted; the last one is under way. */
export type TensionRounds = readonly [...(readonly TensionRound[]), TensionRound]

const EMPTY: TensionRound = { reading: null, adjusted: null }
export const UNTENSIONED: TensionRounds = [EMPTY]

export const keepTension = (now: TensionRounds, e: LogEntry): TensionRounds => {
  const last = now[now.length - 1] as TensionRound
  const before = now.slice(0, -1)
  switch (e.kind) {
    case 'tension-read':
      return [...before, { ...last, reading: e }]
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
