import { worstVerdict, type VerdictOrUnknown } from '../../judge/judge'
import type { LogEntry } from '../../logbook/entry'
import type { ContactRead } from '../contact/contact'
import type { GearRound, GearRounds } from '../contact/rounds'
import type { BacklashJudged } from '../backlash/read'

type Reading = Pick<GearRound, 'painted' | 'backlash'>

/** Blocks drawn down, what had been read before, and what was read since. */
export interface GearTightening {
  readonly entry: LogEntry<'gear-tightened'> | null
  readonly before: Reading
  readonly since: Reading
}

const NOTHING: Reading = { painted: null, backlash: null }
export const GEAR_NOT_TIGHTENED: GearTightening = { entry: null, before: NOTHING, since: NOTHING }

/** Keeps what tightening may have changed; whatever loosens the blocks again undoes it. `rounds` as they stood before this entry. */
export const keepGearTightening = (now: GearTightening, e: LogEntry, rounds: GearRounds): GearTightening => {
  switch (e.kind) {
    case 'gear-tightened': {
      const { painted, backlash } = rounds[rounds.length - 1] as GearRound
      return { entry: e, before: { painted, backlash }, since: NOTHING }
    }
    case 'contact-painted':
      return now.entry && e.payload.moment === 'fit' ? { ...now, since: { ...now.since, painted: e } } : now
    case 'backlash-read':
      return now.entry ? { ...now, since: { ...now.since, backlash: e } } : now
    case 'gear-shifted':
    case 'layers-changed':
    case 'gear-refitted':
      return now.entry ? GEAR_NOT_TIGHTENED : now
    default:
      return now
  }
}

/** What tightening did: both readings of both, null where one was not taken. */
export interface GearRecheck {
  readonly entry: LogEntry<'gear-tightened'> | null
  readonly before: { readonly contact: ContactRead | null; readonly backlash: BacklashJudged | null }
  readonly since: { readonly contact: ContactRead | null; readonly backlash: BacklashJudged | null }
  /** Blocks were loose in this job: they are drawn down and both is read again. */
  readonly loosened: boolean
  /** Which are still to be read after tightening. */
  readonly missing: readonly ('contact' | 'backlash')[]
  readonly verdict: VerdictOrUnknown
}

export const gearRecheckOf = (
  { entry, before, since }: GearTightening,
  loosened: boolean,
  read: {
    readonly contact: (e: GearRound['painted']) => ContactRead | null
    readonly backlash: (e: GearRound['backlash']) => BacklashJudged | null
  },
): GearRecheck => {
  const both = ({ painted, backlash }: Reading) => ({
    contact: read.contact(painted),
    backlash: read.backlash(backlash),
  })
  const now = both(since)
  return {
    entry,
    before: both(before),
    since: now,
    loosened,
    missing: entry ? (['contact', 'backlash'] as const).filter((w) => now[w] === null) : [],
    verdict: worstVerdict([now.contact?.figures?.verdict ?? 'unknown', now.backlash?.verdict ?? 'unknown']),
  }
}
