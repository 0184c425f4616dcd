import { lineOfMoves, type FootMove, type FootPlane } from '../../coupling/feet'
import { ALIGNED, lineDifference, type Misalignment } from '../../frame/planes'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import { SIDES, type MachineRole, type Side } from '../../plan/pairNames'
import type { PairPacks } from '../../register/pair'
import { thicknessKey } from '../../shims/leafKinds'
import { toCore, type Millimetres, type UnitSystem } from '../../units/unitSystem'
import type { FootChange, SideChange } from '../plan/entries'

/** Left and right of a pair may not be lifted further apart than a foot may rise. */
export const UNEVEN_LIMIT: Millimetres = 0.0508

export interface MadeMove extends FootMove {
  readonly machine: MachineRole
}

interface FootRef {
  readonly machine: MachineRole
  readonly pair: string
  readonly side: Side
}

/** What a move, planned or made, does to the machines. Millimetres. */
export interface Footwork {
  readonly moves: readonly MadeMove[]
  /** How the movable axis shifts against the stationary one; null where that hangs on distances nobody taped. */
  readonly change: Misalignment | null
  /** Planes in which anything was done at all. */
  readonly planes: { readonly v: boolean; readonly h: boolean }
  /** Packs after it. */
  readonly packs: readonly PairPacks[]
  /** Shims said to come out that no pack was known to hold. */
  readonly unknownShims: readonly (FootRef & { readonly thickness: Millimetres })[]
  /** Pairs whose left and right foot were lifted differently: the machine would rock. */
  readonly uneven: readonly {
    readonly machine: MachineRole
    readonly pair: string
    readonly difference: Millimetres
  }[]
  readonly shimsHandled: number
}

/** Where the feet of each machine stand. */
export type FeetOf = Readonly<Record<MachineRole, readonly FootPlane[]>> & {
  /** Nobody taped them: their places say which comes first, and no more. */
  readonly untaped?: true
}

/** Every foot goes the same way by the same amount: how far apart they stand doesn't matter. */
const isParallel = ([first, ...others]: readonly MadeMove[]): boolean =>
  others.every((m) => Math.abs(m.v - (first?.v ?? 0)) < 1e-9 && Math.abs(m.h - (first?.h ?? 0)) < 1e-9)

/** Applies shim changes and side moves to packs and axis. */
export const doFootwork = (
  before: readonly PairPacks[],
  feet: FeetOf,
  units: UnitSystem,
  changes: readonly FootChange[],
  side: readonly SideChange[],
): Footwork => {
  const thick = (t: number) => toCore(t, 'displacement', units)
  const unknownShims: (FootRef & { thickness: Millimetres })[] = []
  const packs = before.map(({ machine, id, packs: now }): PairPacks => {
    const after = (which: Side): readonly Millimetres[] => {
      const pack = [...now[which]]
      for (const c of changes.filter((x) => x.machine === machine && x.pair === id && x.side === which)) {
        for (const out of c.takenOut.map(thick)) {
          const at = pack.findIndex((t) => thicknessKey(t) === thicknessKey(out))
          if (at < 0) unknownShims.push({ machine, pair: id, side: which, thickness: out })
          else pack.splice(at, 1)
        }
        pack.push(...c.putIn.map(thick))
      }
      return pack
    }
    return { machine, id, packs: { left: after('left'), right: after('right') } }
  })
  const sum = (list: readonly number[]) => list.reduce((s, t) => s + thick(t), 0)
  const liftOf = (machine: MachineRole, pair: string, which: Side) =>
    changes
      .filter((c) => c.machine === machine && c.pair === pair && c.side === which)
      .reduce((s, c) => s + sum(c.putIn) - sum(c.takenOut), 0)
  const uneven: { machine: MachineRole; pair: string; difference: Millimetres }[] = []
  const movesOf = (machine: MachineRole): readonly MadeMove[] =>
    feet[machine].map(({ id, x }) => {
      const [left, right] = SIDES.map((s) => liftOf(machine, id, s)) as [number, number]
      if (Math.abs(left - right) > UNEVEN_LIMIT * (1 + 1e-9))
        uneven.push({ machine, pair: id, difference: left - right })
      return {
        machine,
        id,
        x,
        v: (left + right) / 2,
        h: side.filter((s) => s.machine === machine && s.pair === id).reduce((s, c) => s + thick(c.moved), 0),
      }
    })
  const moves = [...movesOf('movable'), ...movesOf('stationary')]
  const lineOf = (machine: MachineRole) => {
    const own = moves.filter((m) => m.machine === machine)
    return own.length > 1 ? lineOfMoves(own) : ALIGNED
  }
  return {
    moves,
    change:
      feet.untaped && !isParallel(moves) ? null : lineDifference(lineOf('movable'), lineOf('stationary')),
    planes: {
      v: changes.some((c) => c.takenOut.length + c.putIn.length > 0),
      h: side.some((s) => s.moved !== 0),
    },
    packs,
    unknownShims,
    uneven,
    shimsHandled: changes.reduce((n, c) => n + c.takenOut.length + c.putIn.length, 0),
  }
}

/** What a planned or logged move does; worked out once for the packs and feet it meets. */
export const footworkOf = remember(
  (entry: LogEntry<'move-made' | 'plan-chosen'>, packs: readonly PairPacks[], feet: FeetOf): Footwork => {
    const { units, changes, side } = entry.payload
    return doFootwork(packs, feet, units, changes, side)
  },
)
