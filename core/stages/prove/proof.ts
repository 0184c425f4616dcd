import type { LogEntry } from '../../logbook/entry'
import { notedIn, takenIn, type TakenSet } from '../measure/rounds'
import type { ProofPoint } from './entries'

/** What was done towards the proof. */
export interface ProofFacts {
  /** The last time the uncoupled motor was to be bumped. */
  readonly bump: LogEntry<'bump-begun'> | null
  /** What was seen of it; null while a bump is under way. */
  readonly rotation: LogEntry<'rotation-seen'> | null
  readonly madeUp: LogEntry<'coupling-made-up'> | null
  /** Sets read while the coupling was made up, since it last was. */
  readonly sets: readonly TakenSet[]
  /** Times it was made up and opened again, with what was read between. */
  readonly opened: readonly OpenedAgain[]
  readonly confirmed: readonly LogEntry<'proof-confirmed'>[]
}

/** A coupling that was made up, read perhaps, and opened again for a reason. */
export interface OpenedAgain {
  readonly entry: LogEntry<'coupling-opened'>
  readonly sets: readonly TakenSet[]
}

export const NO_PROOF: ProofFacts = {
  bump: null,
  rotation: null,
  madeUp: null,
  sets: [],
  opened: [],
  confirmed: [],
}

/** What holds only as long as nobody opens the machine again. */
const UNDONE_BY_OPENING: readonly ProofPoint[] = ['read-coupled', 'set-screws', 'turns-freely', 'guard-on']
const UNDONE_BY_MOVING: readonly ProofPoint[] = [...UNDONE_BY_OPENING, 'hold-down-bolts']
const without = (confirmed: ProofFacts['confirmed'], points: readonly ProofPoint[]) => {
  const left = confirmed.filter((c) => !points.includes(c.payload.point))
  return left.length === confirmed.length ? confirmed : left
}

/** Links each entry to the proof. `reads` while readings taken are its own. */
export const keepProof = (
  now: ProofFacts,
  e: LogEntry,
  setUp: LogEntry<'set-up'> | null,
  reads: boolean,
): ProofFacts => {
  switch (e.kind) {
    case 'bump-begun':
      return { ...now, bump: e, rotation: null }
    case 'rotation-seen':
      return { ...now, rotation: e }
    case 'coupling-made-up':
      return { ...now, madeUp: e, sets: [] }
    case 'coupling-opened':
      return {
        ...now,
        madeUp: null,
        sets: [],
        opened: [...now.opened, { entry: e, sets: now.sets }],
        confirmed: without(now.confirmed, UNDONE_BY_OPENING),
      }
    case 'move-made':
    case 'flange-moved':
      return { ...now, madeUp: null, sets: [], confirmed: without(now.confirmed, UNDONE_BY_MOVING) }
    case 'readings-taken':
      return setUp && reads ? { ...now, sets: takenIn(now.sets, e, setUp) } : now
    case 'set-used-anyway':
    case 'set-left-out': {
      const sets = notedIn(now.sets, e)
      return sets === now.sets ? now : { ...now, sets }
    }
    case 'proof-confirmed':
      return { ...now, confirmed: [...without(now.confirmed, [e.payload.point]), e] }
    case 'safety-confirmed':
      // The guard came off again.
      return e.payload.point === 'guard-off'
        ? { ...now, confirmed: without(now.confirmed, ['guard-on']) }
        : now
    default:
      return now
  }
}

/** The lockout is off for a bump, and nobody has said yet which way it turned. */
export const isBumping = ({ bump, rotation }: Pick<ProofFacts, 'bump' | 'rotation'>): boolean =>
  bump !== null && rotation === null
