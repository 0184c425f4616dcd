import type { Plane } from '../../frame/planes'
import { movableFeet } from '../../register/footedMachine'
import type { CoupledMachine } from '../../register/coupledMachine'
import type { PairPacks } from '../../register/pair'
import { footChangesOf, packsForLifts, type FootLeaves, type PairShare } from '../../shims/packsForLifts'
import { fromCore, type Millimetres, type UnitSystem } from '../../units/unitSystem'
import type { RoughInEntries } from './entries'
import type { RoughReading } from './roughIn'

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
  const leaves = plane === 'v' ? packsForLifts(machine, packs, found.shares) : []
  return { plane, ...found, leaves, short: plane === 'v' ? shortOf(found.shares, leaves) : null }
}

/** The entry that says the cure was carried out. */
export const roughedBy = (cure: RoughCure, units: UnitSystem): RoughInEntries['hubs-roughed'] => {
  const typed = (t: Millimetres) => Number(fromCore(t, 'displacement', units).toPrecision(10))
  return {
    units,
    changes: footChangesOf('movable', cure.leaves, typed),
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
