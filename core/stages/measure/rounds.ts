import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'

/** One set as it stands in a round: what was read, with which set-up, and what was said of it. */
export interface TakenSet {
  readonly entry: LogEntry<'readings-taken'>
  readonly setUp: LogEntry<'set-up'>
  /** The last word on it. */
  readonly note: LogEntry<'set-used-anyway' | 'set-left-out'> | null
}

/** A plan as it stands in a round. */
export interface TakenPlan {
  readonly entry: LogEntry<'plan-chosen'>
  /** Sets were read, left out or put back after it. */
  readonly overtaken: boolean
  /** The cold target was set otherwise after it. */
  readonly retargeted: boolean
}

/** What was written between two moves, and the move that ended it. */
export interface Round {
  readonly sets: readonly TakenSet[]
  readonly plan: TakenPlan | null
  /** What was laid under the feet before anything was read. */
  readonly filled: readonly LogEntry<'foot-filled' | 'machine-levelled' | 'hubs-roughed'>[]
  /** Dials read while it was pushed by that plan, and after tightening. */
  readonly counts: readonly LogEntry<'counts-read'>[]
  /** Null in the round that is under way. */
  readonly move: LogEntry<'move-made'> | null
}

/** Rounds of a job; the last one is under way. */
export type Rounds = readonly [...(readonly Round[]), Round]

const EMPTY: Round = { sets: [], plan: null, filled: [], counts: [], move: null }
export const NO_ROUNDS: Rounds = [EMPTY]

// Remembered, so that a set in a later fold is the very object it was in an earlier one.
const taken = remember((entry: LogEntry<'readings-taken'>, setUp: LogEntry<'set-up'>): TakenSet => ({
  entry,
  setUp,
  note: null,
}))
const noted = remember((set: TakenSet, note: LogEntry<'set-used-anyway' | 'set-left-out'>): TakenSet => ({
  ...set,
  note,
}))
/** These sets with one more. */
export const takenIn = (
  sets: readonly TakenSet[],
  e: LogEntry<'readings-taken'>,
  setUp: LogEntry<'set-up'>,
): readonly TakenSet[] => [...sets, taken(e, setUp)]
/** These sets with what was said of one of them; the very same where it is none of them. */
export const notedIn = (
  sets: readonly TakenSet[],
  e: LogEntry<'set-used-anyway' | 'set-left-out'>,
): readonly TakenSet[] =>
  sets.some((s) => s.entry.id === e.payload.set)
    ? sets.map((s) => (s.entry.id === e.payload.set ? noted(s, e) : s))
    : sets
const overtaken = (plan: TakenPlan | null): TakenPlan | null => plan && { ...plan, overtaken: true }

/** Links each entry to its round; readings keep the set-up they were read with. `beside` while what is read belongs elsewhere: to the warm machine, or to the coupling made up. */
export const keepRounds = (
  now: Rounds,
  e: LogEntry,
  setUp: LogEntry<'set-up'> | null,
  beside: boolean,
): Rounds => {
  const last = now[now.length - 1] as Round
  const change = (round: Round): Rounds => [...now.slice(0, -1), round]
  switch (e.kind) {
    case 'readings-taken':
      return setUp && !beside
        ? change({ ...last, sets: takenIn(last.sets, e, setUp), plan: overtaken(last.plan) })
        : now
    case 'set-used-anyway':
    case 'set-left-out': {
      const sets = notedIn(last.sets, e)
      return sets === last.sets ? now : change({ ...last, sets, plan: overtaken(last.plan) })
    }
    case 'plan-chosen':
      return change({ ...last, plan: { entry: e, overtaken: false, retargeted: false }, counts: [] })
    case 'counts-read':
      return change({ ...last, counts: [...last.counts, e] })
    case 'target-set':
    case 'hot-answered':
      return last.plan ? change({ ...last, plan: { ...last.plan, retargeted: true } }) : now
    case 'foot-filled':
    case 'machine-levelled':
    case 'hubs-roughed':
      return change({ ...last, filled: [...last.filled, e] })
    case 'move-made':
      return [...now.slice(0, -1), { ...last, move: e }, EMPTY]
    default:
      return now
  }
}
