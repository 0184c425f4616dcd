import type { LogEntry } from '../../logbook/entry'
import { notedIn, takenIn, type TakenSet } from '../measure/rounds'

/** One run until it is warm, and what was read behind it. */
export interface HotRun {
  readonly begun: LogEntry<'hot-run-begun'> | null
  /** Moves that were made before it: what was left cold is what was measured behind the last of them. */
  readonly moves: number
  readonly temperatures: readonly LogEntry<'temperatures-read'>[]
  readonly ended: LogEntry<'hot-run-ended'> | null
  /** Sets that were read on the warm machine. */
  readonly sets: readonly TakenSet[]
  readonly answered: LogEntry<'hot-answered'> | null
  /** Something was moved after the stop: what is read from there is no longer of this run. */
  readonly movedSince: boolean
}

export const NO_HOT_RUN: HotRun = {
  begun: null,
  moves: 0,
  temperatures: [],
  ended: null,
  sets: [],
  answered: null,
  movedSince: false,
}

/** Whether readings taken now are of the warm machine: it was stopped, and neither answered for nor moved since. */
export const readsHot = (run: HotRun): boolean =>
  run.ended !== null && run.answered === null && !run.movedSince

/** Whether a run is under way: begun, and not yet answered for. */
export const isUnderWay = (run: HotRun): boolean =>
  run.begun !== null && run.answered === null && !run.movedSince

/** Links each entry to the run it belongs to; `moves` were made before the entry. A second run starts anew, the first one with the temperatures that were logged before it. */
export const keepHotRun = (
  now: HotRun,
  e: LogEntry,
  setUp: LogEntry<'set-up'> | null,
  moves: number,
): HotRun => {
  switch (e.kind) {
    case 'hot-run-begun':
      return { ...NO_HOT_RUN, begun: e, moves, temperatures: now.begun ? [] : now.temperatures }
    case 'temperatures-read':
      return { ...now, temperatures: [...now.temperatures, e] }
    case 'hot-run-ended':
      return { ...now, ended: e }
    case 'readings-taken':
      return setUp && readsHot(now) ? { ...now, sets: takenIn(now.sets, e, setUp) } : now
    case 'set-used-anyway':
    case 'set-left-out':
      return { ...now, sets: notedIn(now.sets, e) }
    case 'hot-answered':
      return { ...now, answered: e }
    case 'move-made':
      return now.ended && !now.answered ? { ...now, movedSince: true } : now
    default:
      return now
  }
}
