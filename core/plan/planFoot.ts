import { SAME_THICKNESS, type StockShim } from '../shims/leafKinds'
import { ShimShelf, untouchedPack, type Pack } from '../shims/reachablePacks'
import type { Millimetres } from '../units/unitSystem'
import { SIDES, type MachineRole, type Side } from './pairNames'

/** A foot pair that may be moved, with what limits it. Millimetres. */
export interface PlanFoot {
  readonly id: string
  /** The movable machine unless said otherwise. */
  readonly machine?: MachineRole
  readonly x: Millimetres
  /** Shims under each foot, bottom up. */
  readonly existing: Readonly<Record<Side, readonly Millimetres[]>>
  readonly maxPack: Millimetres
  readonly sidePlus: Millimetres
  readonly sideMinus: Millimetres
  readonly locked?: boolean
}

/** A change of height that real packs can make under both feet of a pair. */
export interface Lift {
  readonly v: Millimetres
  /** Shims handled under both feet. */
  readonly changes: number
  /** Easiest packs for it. */
  readonly packs: Readonly<Record<Side, Pack>>
}

/** What a pair's packs can do: its lifts from lowest to highest, and other packs of the same height. */
export interface PairLifts {
  readonly foot: PlanFoot
  readonly v: Float64Array
  readonly changes: Float64Array
  /** Lifts are told apart to this; 0 when to the last tenth of a micrometre. */
  readonly within: Millimetres
  /** Every way to make lift number i on one side, easiest first. */
  readonly packs: (i: number, side: Side) => readonly Pack[]
}

/** Leaves that come out elsewhere and may be laid here, by the side they would be laid under. */
export type LentLeaves = Readonly<Record<Side, readonly Millimetres[]>>
const NOTHING_LENT: LentLeaves = { left: [], right: [] }

/** The pair as it lies, which a locked one is left at. */
const lockedLifts = (foot: PlanFoot): PairLifts => {
  const packs = { left: untouchedPack(foot.existing.left), right: untouchedPack(foot.existing.right) }
  return {
    foot,
    v: new Float64Array(1),
    changes: new Float64Array(1),
    within: 0,
    packs: (_, side) => packs[side].packs(packs[side].asIs),
  }
}

/** The shelf that these feet are shimmed from. */
export const shelfFor = (
  feet: readonly PlanFoot[],
  stock: readonly StockShim[],
  packLimit: number,
): ShimShelf => {
  const open = feet.filter((f) => !f.locked)
  return new ShimShelf(
    stock,
    packLimit,
    open.flatMap((f) => SIDES.flatMap((side) => f.existing[side])),
    Math.max(0, ...open.map((f) => f.maxPack)),
  )
}

/** Every lift that real packs can make; the same under the left and the right foot of a pair. */
export const pairLifts = (foot: PlanFoot, shelf: ShimShelf, lent: LentLeaves = NOTHING_LENT): PairLifts => {
  if (foot.locked) return lockedLifts(foot)
  const choose = (side: Side) => shelf.choices(foot.existing[side], foot.maxPack, lent[side])
  const left = choose('left')
  const right = choose('right')
  const between = right.asIs - left.asIs
  const keys = right === left ? left.keys : left.keys.filter((key) => right.has(key + between))
  const v = new Float64Array(keys.length)
  const changes = new Float64Array(keys.length)
  for (let i = 0; i < keys.length; i++) {
    const key = keys[i] as number
    v[i] = (key - left.asIs) * SAME_THICKNESS
    changes[i] = left.changes(key) + right.changes(key + between)
  }
  return {
    foot,
    v,
    changes,
    within: shelf.limit * left.within * SAME_THICKNESS,
    packs: (i, side) =>
      side === 'left' ? left.packs(keys[i] as number) : right.packs((keys[i] as number) + between),
  }
}

/** The lifts of a pair as a list, lowest first. */
export const reachableLifts = (
  foot: PlanFoot,
  stock: readonly StockShim[],
  packLimit: number,
): readonly Lift[] => {
  const lifts = pairLifts(foot, shelfFor([foot], stock, packLimit))
  return Array.from(lifts.v).flatMap((v, i): readonly Lift[] => {
    const [left] = lifts.packs(i, 'left')
    const [right] = lifts.packs(i, 'right')
    return left && right ? [{ v, changes: lifts.changes[i] as number, packs: { left, right } }] : []
  })
}
