import type { UnitSystem } from '../units/unitSystem'

/** Shims of one thickness, kind and size at one place. In mil or mm, as its units say. */
export interface ShimLot {
  readonly id: string
  readonly units: UnitSystem
  readonly thickness: number
  readonly kind: 'plain' | 'laminated'
  /** Layer of a laminated one; null for plain ones. */
  readonly layer: number | null
  /** The size cut for a bolt, by the works' own letter or number; empty where it fits any. */
  readonly size: string
  readonly place: string
  /** How many lay there when somebody last counted. */
  readonly counted: number
  readonly countedAt: string
  /** At this many or fewer it is to be ordered; 0 never. */
  readonly low: number
}

/** Leaves that a job wants, by where its machine stands and the size of its shims. */
export interface LeavesFor {
  readonly units: UnitSystem
  readonly area: string
  readonly size: string
  readonly taken: readonly number[]
}

/** Leaves that a job took out of the stores and brought back to them. */
export interface ShimUse extends LeavesFor {
  readonly at: string
  readonly back: readonly number[]
}

/** What a lot comes to now. */
export interface LotStock {
  readonly lot: ShimLot
  /** Below zero where more was taken than was counted: to be counted again. */
  readonly now: number
  /** Wanted by plans that are not carried out yet. */
  readonly reserved: number
  /** What another plan may have: never below zero. */
  readonly free: number
  readonly low: boolean
}

/** Below a tenth of a micrometre in either unit: the same leaf. */
const SAME = 1e-3

const fitsSize = (lot: ShimLot, size: string): boolean =>
  lot.size === '' || size === '' || lot.size.toLowerCase() === size.toLowerCase()

const samePlace = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase()

/** Whether a leaf of this thickness can be peeled off a laminated piece: whole layers, one at least staying. */
const peels = ({ kind, thickness, layer }: ShimLot, leaf: number): boolean => {
  if (kind !== 'laminated' || layer === null || layer <= 0) return false
  const layers = (thickness - leaf) / layer
  return layers > -SAME && Math.abs(layers - Math.round(layers)) < SAME && leaf > layer - SAME
}

/**
 * The lot a leaf is taken from or brought back to: a plain one before a laminated one, one where the machine
 * stands before others, then the fullest. Null where the stores have no such leaf.
 */
const lotFor = (
  leaf: number,
  of: Omit<LeavesFor, 'taken'>,
  lots: readonly ShimLot[],
  left: ReadonlyMap<string, number>,
  peeled: boolean,
): ShimLot | null => {
  const own = lots.filter((l) => l.units === of.units && fitsSize(l, of.size))
  const plain = own.filter((l) => l.kind === 'plain' && Math.abs(l.thickness - leaf) < SAME)
  const found = plain.length > 0 ? plain : peeled ? own.filter((l) => peels(l, leaf)) : []
  const rank = (l: ShimLot) => (samePlace(l.place, of.area) ? 0 : 1)
  return (
    [...found].sort(
      (a, b) =>
        rank(a) - rank(b) || (left.get(b.id) ?? 0) - (left.get(a.id) ?? 0) || a.id.localeCompare(b.id),
    )[0] ?? null
  )
}

/**
 * What lies in the stores: what was counted, less what jobs have put under feet since, plus what they brought
 * back; and of that what plans have asked for. A use before the count of its lot is in the count already.
 * Peeled leaves come back to no lot.
 */
export const stockNow = (
  lots: readonly ShimLot[],
  uses: readonly ShimUse[],
  wanted: readonly LeavesFor[],
): readonly LotStock[] => {
  const left = new Map(lots.map((l) => [l.id, l.counted]))
  const by = (lot: ShimLot | null, at: string, n: number) => {
    if (lot && at > lot.countedAt) left.set(lot.id, (left.get(lot.id) ?? 0) + n)
  }
  for (const use of [...uses].sort((a, b) => a.at.localeCompare(b.at))) {
    for (const leaf of use.taken) by(lotFor(leaf, use, lots, left, true), use.at, -1)
    for (const leaf of use.back) by(lotFor(leaf, use, lots, left, false), use.at, 1)
  }
  const reserved = new Map<string, number>()
  const free = new Map(left)
  for (const plan of wanted)
    for (const leaf of plan.taken) {
      const lot = lotFor(leaf, plan, lots, free, true)
      if (!lot) continue
      reserved.set(lot.id, (reserved.get(lot.id) ?? 0) + 1)
      free.set(lot.id, (free.get(lot.id) ?? 0) - 1)
    }
  return lots.map((lot) => {
    const now = left.get(lot.id) ?? 0
    const open = Math.max(0, free.get(lot.id) ?? 0)
    return {
      lot,
      now,
      reserved: reserved.get(lot.id) ?? 0,
      free: open,
      low: lot.low > 0 && open <= lot.low,
    }
  })
}

/** What is asked of the stores: leaves put in that do not come out from under another foot, and those that come back. */
export const netLeaves = (
  changes: readonly { readonly takenOut: readonly number[]; readonly putIn: readonly number[] }[],
): { readonly taken: readonly number[]; readonly back: readonly number[] } => {
  const back = changes.flatMap((c) => c.takenOut)
  const taken = changes
    .flatMap((c) => c.putIn)
    .filter((leaf) => {
      const at = back.findIndex((b) => Math.abs(b - leaf) < SAME)
      if (at >= 0) back.splice(at, 1)
      return at < 0
    })
  return { taken, back }
}
