import type { LogEntry } from '../../logbook/entry'
import { notedIn, takenIn, type TakenSet } from '../measure/rounds'

/** What was written between two moves of a flange, and the move that ended it. */
export interface FlangeRound {
  readonly sets: readonly TakenSet[]
  readonly plan: LogEntry<'flange-plan-chosen'> | null
  /** Dials read at the flange since that plan. */
  readonly counts: readonly LogEntry<'flange-counts-read'>[]
  /** Null in the round that is under way. */
  readonly move: LogEntry<'flange-moved'> | null
}

/** Rounds of a job; the last one is under way. */
export type FlangeRounds = readonly [...(readonly FlangeRound[]), FlangeRound]

const EMPTY: FlangeRound = { sets: [], plan: null, counts: [], move: null }
export const NO_FLANGE_ROUNDS: FlangeRounds = [EMPTY]

/** Links each entry to its round; readings keep the set-up they were read with. `beside` while they belong to the coupling made up. */
export const keepFlangeRounds = (
  now: FlangeRounds,
  e: LogEntry,
  setUp: LogEntry<'set-up'> | null,
  beside: boolean,
): FlangeRounds => {
  const last = now[now.length - 1] as FlangeRound
  const change = (round: FlangeRound): FlangeRounds => [...now.slice(0, -1), round]
  switch (e.kind) {
    case 'readings-taken':
      return setUp && !beside ? change({ ...last, sets: takenIn(last.sets, e, setUp) }) : now
    case 'set-used-anyway':
    case 'set-left-out': {
      const sets = notedIn(last.sets, e)
      return sets === last.sets ? now : change({ ...last, sets })
    }
    case 'flange-plan-chosen':
      return change({ ...last, plan: e, counts: [] })
    case 'flange-counts-read':
      return change({ ...last, counts: [...last.counts, e] })
    case 'flange-moved':
      return [...now.slice(0, -1), { ...last, move: e }, EMPTY]
    default:
      return now
  }
}
