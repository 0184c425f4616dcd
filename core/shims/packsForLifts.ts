import { SIDES, type MachineRole, type Side } from '../plan/pairNames'
import type { FootedMachine } from '../register/footedMachine'
import { shelfOf } from '../register/shelf'
import type { PairPacks } from '../register/pair'
import type { FootChange } from '../stages/plan/entries'
import { toCore, type Millimetres } from '../units/unitSystem'
import { thicknessKey } from './leafKinds'
import { shimPack } from './shimPack'

/** What goes under, or comes out from under, one foot. Millimetres. */
export interface FootLeaves {
  readonly pair: string
  readonly side: Side
  readonly putIn: readonly Millimetres[]
  readonly takenOut: readonly Millimetres[]
  readonly lift: Millimetres
}

/** One pair's share of a cure: up or toward 3 positive. Millimetres. */
export interface PairShare {
  readonly pair: string
  readonly wanted: Millimetres
}

/** Leaves under both feet of each pair, from one shelf: what one foot takes the next can't. */
export const packsForLifts = (
  machine: FootedMachine,
  packs: readonly PairPacks[],
  shares: readonly PairShare[],
): readonly FootLeaves[] => {
  const mm = (t: number) => toCore(t, 'displacement', machine.units)
  let shelf = shelfOf(machine)
  const takeFrom = (kind: 'plain' | 'laminated', thickness: Millimetres) => {
    const at = shelf.findIndex(
      (s) => (s.kind ?? 'plain') === kind && thicknessKey(s.thickness) === thicknessKey(thickness),
    )
    shelf = shelf.map((s, i) => (i === at ? { ...s, count: s.count - 1 } : s))
  }
  return shares.flatMap(({ pair, wanted }) =>
    SIDES.map((side): FootLeaves => {
      const existing = packs.find((p) => p.machine === 'movable' && p.id === pair)?.packs[side] ?? []
      const under = existing.reduce((s, t) => s + t, 0)
      const most = machine.feet.movable.find((f) => f.id === pair)?.maxPack
      const laid = shimPack({
        wanted: Math.max(0, under + wanted),
        existing,
        stock: shelf.filter((s) => s.count > 0),
        limit: Math.max(machine.packLimit, existing.length),
        ...(most ? { highest: Math.max(under, mm(most)) } : {}),
      })
      const kept = laid.pack.filter((l) => l.source === 'kept').map((l) => thicknessKey(l.thickness))
      const takenOut = existing.filter((t) => {
        const at = kept.indexOf(thicknessKey(t))
        if (at >= 0) kept.splice(at, 1)
        return at < 0
      })
      const fresh = laid.pack.filter((l) => l.source !== 'kept')
      for (const l of fresh)
        takeFrom(l.peeledFrom === undefined ? 'plain' : 'laminated', l.peeledFrom ?? l.thickness)
      const putIn = fresh.map((l) => l.thickness)
      return { pair, side, putIn, takenOut, lift: laid.total - under }
    }),
  )
}

/** Those leaves as the changes an entry says were made; `typed` gives the unit of the entry. */
export const footChangesOf = (
  machine: MachineRole,
  leaves: readonly FootLeaves[],
  typed: (t: Millimetres) => number,
): FootChange[] =>
  leaves
    .filter((l) => l.putIn.length + l.takenOut.length > 0)
    .map(({ pair, side, putIn, takenOut }) => ({
      machine,
      pair,
      side,
      putIn: putIn.map(typed),
      takenOut: takenOut.map(typed),
    }))
