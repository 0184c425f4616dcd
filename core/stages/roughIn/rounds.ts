import type { LogEntry } from '../../logbook/entry'

/** What was felt, and what was done about it. */
export interface RoughRound {
  readonly felt: LogEntry<'hubs-felt'> | null
  /** Null in the round under way, or where the hubs were simply felt again. */
  readonly moved: LogEntry<'hubs-roughed'> | null
}

/** Rounds of the rough-in; the last one is under way. */
export type RoughRounds = readonly [...(readonly RoughRound[]), RoughRound]

const EMPTY: RoughRound = { felt: null, moved: null }
export const NO_ROUGH_ROUNDS: RoughRounds = [EMPTY]

/** Links what was felt to what was done about it; hubs felt again begin a new round. */
export const keepRoughIn = (now: RoughRounds, e: LogEntry): RoughRounds => {
  const last = now[now.length - 1] as RoughRound
  switch (e.kind) {
    case 'hubs-felt':
      return last.felt ? [...now, { ...EMPTY, felt: e }] : [...now.slice(0, -1), { ...last, felt: e }]
    case 'hubs-roughed':
      return [...now.slice(0, -1), { ...last, moved: e }, EMPTY]
    default:
      return now
  }
}
