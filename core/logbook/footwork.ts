import { lineOfMoves, type FootMove, type FootPlane } from '../coupling/feet'
import type { Misalignment } from '../frame/planes'
import { thicknessKey } from '../shims/leafKinds'
import { SIDES, type Side } from '../plan/movePlan'
import type { PairPacks } from '../register/machine'
import { toCore, type Millimetres, type UnitSystem } from '../units/unitSystem'
import type { FootChange, SideChange } from './entry'

/** Left and right of a pair may not be lifted further apart than a foot may rise. */
export const UNEVEN_LIMIT: Millimetres = 0.0508

/** What a move, planned or made, does to the machine. Millimetres. */
export interface Footwork {
  readonly moves: readonly FootMove[]
  /** How the axis shifts. */
  readonly change: Misalignment
  /** Packs after it. */
  readonly packs: readonly PairPacks[]
  /** Shims said to come out that no pack was known to hold. */
  readonly unknownShims: readonly {
    readonly pair: string
    readonly side: Side
    readonly thickness: Millimetres
  }[]
  /** Pairs whose left and right foot were lifted differently: the machine would rock. */
  readonly uneven: readonly { readonly pair: string; readonly difference: Millimetres }[]
  readonly shimsHandled: number
}

/** Applies shim changes and side moves to packs and axis. */
export const doFootwork = (
  before: readonly PairPacks[],
  feet: readonly FootPlane[],
  units: UnitSystem,
  changes: readonly FootChange[],
  side: readonly SideChange[],
): Footwork => {
  const thick = (t: number) => toCore(t, 'displacement', units)
  const unknownShims: { pair: string; side: Side; thickness: Millimetres }[] = []
  const packs = before.map(({ id, packs: now }): PairPacks => {
    const after = (which: Side): readonly Millimetres[] => {
      const pack = [...now[which]]
      for (const c of changes.filter((x) => x.pair === id && x.side === which)) {
        for (const out of c.takenOut.map(thick)) {
          const at = pack.findIndex((t) => thicknessKey(t) === thicknessKey(out))
          if (at < 0) unknownShims.push({ pair: id, side: which, thickness: out })
          else pack.splice(at, 1)
        }
        pack.push(...c.putIn.map(thick))
      }
      return pack
    }
    return { id, packs: { left: after('left'), right: after('right') } }
  })
  const sum = (list: readonly number[]) => list.reduce((s, t) => s + thick(t), 0)
  const liftOf = (pair: string, which: Side) =>
    changes
      .filter((c) => c.pair === pair && c.side === which)
      .reduce((s, c) => s + sum(c.putIn) - sum(c.takenOut), 0)
  const uneven: { pair: string; difference: Millimetres }[] = []
  const moves = feet.map(({ id, x }): FootMove => {
    const [left, right] = SIDES.map((s) => liftOf(id, s)) as [number, number]
    if (Math.abs(left - right) > UNEVEN_LIMIT * (1 + 1e-9))
      uneven.push({ pair: id, difference: left - right })
    return {
      id,
      x,
      v: (left + right) / 2,
      h: side.filter((s) => s.pair === id).reduce((s, c) => s + thick(c.moved), 0),
    }
  })
  return {
    moves,
    change: lineOfMoves(moves),
    packs,
    unknownShims,
    uneven,
    shimsHandled: changes.reduce((n, c) => n + c.takenOut.length + c.putIn.length, 0),
  }
}
