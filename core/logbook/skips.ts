import type { LogEntry } from './entry'
import type { Skips } from './stage'

export const NO_SKIPS: Skips = { once: new Map(), thisRound: new Map() }

/** Stages passed over, with why. A move starts a new round, in which only what is done once stays passed over. */
export const keepSkips = (now: Skips, e: LogEntry): Skips => {
  switch (e.kind) {
    case 'stage-skipped': {
      const { stage, why } = e.payload
      return {
        once: new Map([...now.once, [stage, why]]),
        thisRound: new Map([...now.thisRound, [stage, why]]),
      }
    }
    case 'move-made':
    case 'flange-moved':
      return now.thisRound.size === 0 ? now : { ...now, thisRound: new Map() }
    default:
      return now
  }
}
