import type { LogEntry } from '../../logbook/entry'

/** What ended a round: something shifted along the tooth, layers changed, or the gearset apart again. */
export type GearChange = LogEntry<'gear-shifted' | 'layers-changed' | 'gear-refitted'>

/** What was read between two changes, and the change that ended it. */
export interface GearRound {
  /** The first paint after the change before: what that change did is told by it. */
  readonly first: LogEntry<'contact-painted'> | null
  /** The last paint. */
  readonly painted: LogEntry<'contact-painted'> | null
  readonly backlash: LogEntry<'backlash-read'> | null
  readonly change: GearChange | null
}
/** The last one is under way. */
export type GearRounds = readonly [...(readonly GearRound[]), GearRound]

const EMPTY: GearRound = { first: null, painted: null, backlash: null, change: null }
export const NOT_PAINTED: GearRounds = [EMPTY]

export const keepGearRounds = (now: GearRounds, e: LogEntry): GearRounds => {
  const last = now[now.length - 1] as GearRound
  const before = now.slice(0, -1)
  switch (e.kind) {
    case 'contact-painted':
      return e.payload.moment === 'fit' ? [...before, { ...last, first: last.first ?? e, painted: e }] : now
    case 'backlash-read':
      return [...before, { ...last, backlash: e }]
    case 'gear-shifted':
    case 'layers-changed':
      return [...before, { ...last, change: e }, EMPTY]
    case 'gear-refitted':
      return last.painted || last.backlash ? [...before, { ...last, change: e }, EMPTY] : now
    default:
      return now
  }
}

/** The mesh is clear of fingers and lightly loaded, until the power comes back. */
export type Cleared = LogEntry<'mesh-cleared'> | null

export const keepCleared = (now: Cleared, e: LogEntry): Cleared => {
  if (e.kind === 'mesh-cleared') return e
  return e.kind === 'power-restored' || e.kind === 'gear-refitted' ? null : now
}
