import type { Plane } from '../../frame/planes'
import { SIDES, type Side } from '../../plan/movePlan'
import { movableFeet, type CoupledMachine } from '../../register/coupledMachine'
import type { PairPacks } from '../../register/pair'
import { thicknessKey, type StockShim } from '../../shims/leafKinds'
import { shimPack } from '../../shims/shimPack'
import { fromCore, toCore, type Millimetres, type UnitSystem } from '../../units/unitSystem'
import type { RoughInEntries } from './entries'
import type { RoughReading } from './roughIn'

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

/**
 * What to do now about one plane: the same under all feet where only the rims are apart, each pair its own
 * where the faces open too, one end about the other where only the faces were felt.
 */
export interface RoughCure {
  readonly plane: Plane
  readonly way: 'all' | 'each' | 'one-end'
  readonly shares: readonly PairShare[]
  /** Leaf by leaf, in the vertical only. */
  readonly leaves: readonly FootLeaves[]
  /** What can't be reached with what lies there and on the shelf: the largest miss over a leaf's worth. */
  readonly short: (PairShare & { readonly miss: Millimetres }) | null
}

/** A miss over this is said: it would show on the next look. */
const WORTH_SAYING: Millimetres = 0.1

const sharesOf = (
  machine: CoupledMachine,
  reading: RoughReading,
  plane: Plane,
): Pick<RoughCure, 'way' | 'shares'> | null => {
  const step = reading.steps[plane]
  const opening = reading.openings[plane]
  const feet = movableFeet(machine)
  const slope = reading.felt.coupling.slope[plane]
  const facesOut = opening.verdict === 'out'
  if (step.value !== null && !facesOut)
    return {
      way: 'all',
      shares: feet.map((f) => ({ pair: f.id, wanted: -(step.value as number) })),
    }
  if (slope === null) return null
  const nearest = feet.reduce((a, b) => (Math.abs(b.x) < Math.abs(a.x) ? b : a))
  return step.value === null
    ? {
        way: 'one-end',
        shares: feet.map((f) => ({ pair: f.id, wanted: -slope * (f.x - nearest.x) })),
      }
    : {
        way: 'each',
        shares: feet.map((f) => ({ pair: f.id, wanted: -((step.value as number) + slope * f.x) })),
      }
}

/** Leaves under both feet of each pair, from one shelf: what one foot takes the next can't. */
const leavesFor = (
  machine: CoupledMachine,
  packs: readonly PairPacks[],
  shares: readonly PairShare[],
): readonly FootLeaves[] => {
  const mm = (t: number) => toCore(t, 'displacement', machine.units)
  const shelf = new Map<number, StockShim>(
    machine.stock.map((s) => [thicknessKey(mm(s.thickness)), { ...s, thickness: mm(s.thickness) }]),
  )
  return shares.flatMap(({ pair, wanted }) =>
    SIDES.map((side): FootLeaves => {
      const existing = packs.find((p) => p.machine === 'movable' && p.id === pair)?.packs[side] ?? []
      const under = existing.reduce((s, t) => s + t, 0)
      const most = machine.feet.movable.find((f) => f.id === pair)?.maxPack
      const laid = shimPack({
        wanted: Math.max(0, under + wanted),
        existing,
        stock: [...shelf.values()].filter((s) => s.count > 0),
        limit: Math.max(machine.packLimit, existing.length),
        ...(most ? { highest: Math.max(under, mm(most)) } : {}),
      })
      const kept = laid.pack.filter((l) => l.source === 'kept').map((l) => thicknessKey(l.thickness))
      const takenOut = existing.filter((t) => {
        const at = kept.indexOf(thicknessKey(t))
        if (at >= 0) kept.splice(at, 1)
        return at < 0
      })
      const putIn = laid.pack.filter((l) => l.source !== 'kept').map((l) => l.thickness)
      for (const t of putIn) {
        const own = shelf.get(thicknessKey(t))
        if (own) shelf.set(thicknessKey(t), { ...own, count: own.count - 1 })
      }
      return { pair, side, putIn, takenOut, lift: laid.total - under }
    }),
  )
}

const shortOf = (shares: readonly PairShare[], leaves: readonly FootLeaves[]): RoughCure['short'] => {
  const misses = shares.map((s) => {
    const own = leaves.filter((l) => l.pair === s.pair)
    const lift = own.reduce((sum, l) => sum + l.lift, 0) / own.length
    return { ...s, miss: s.wanted - lift }
  })
  const worst = misses.reduce((a, b) => (Math.abs(b.miss) > Math.abs(a.miss) ? b : a))
  return Math.abs(worst.miss) > WORTH_SAYING ? worst : null
}

/** What to do about the hubs as last felt, vertical before horizontal; null where nothing is to be moved yet. */
export const roughCure = (
  machine: CoupledMachine,
  reading: RoughReading,
  packs: readonly PairPacks[],
): RoughCure | null => {
  if (reading.next !== 'vertical' && reading.next !== 'horizontal') return null
  const plane = reading.next === 'vertical' ? 'v' : 'h'
  const apart = [reading.steps[plane], reading.openings[plane]].some((q) => q.verdict === 'out')
  const found = apart ? sharesOf(machine, reading, plane) : null
  if (!found) return null
  const leaves = plane === 'v' ? leavesFor(machine, packs, found.shares) : []
  return { plane, ...found, leaves, short: plane === 'v' ? shortOf(found.shares, leaves) : null }
}

/** The entry that says the cure was carried out. */
export const roughedBy = (cure: RoughCure, units: UnitSystem): RoughInEntries['hubs-roughed'] => {
  const typed = (t: Millimetres) => Number(fromCore(t, 'displacement', units).toPrecision(10))
  return {
    units,
    changes: cure.leaves
      .filter((l) => l.putIn.length + l.takenOut.length > 0)
      .map(({ pair, side, putIn, takenOut }) => ({
        machine: 'movable' as const,
        pair,
        side,
        putIn: putIn.map(typed),
        takenOut: takenOut.map(typed),
      })),
    side:
      cure.plane === 'v'
        ? []
        : cure.shares.map(({ pair, wanted }) => ({
            machine: 'movable' as const,
            pair,
            moved: typed(wanted),
          })),
    remark: '',
  }
}

/** How far the pairs' shares are from one another: an even push or an even shim has none. */
export const spreadOf = ({ shares }: RoughCure): Millimetres => {
  const all = shares.map((s) => s.wanted)
  return Math.max(...all) - Math.min(...all)
}
