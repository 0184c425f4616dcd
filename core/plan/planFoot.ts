import { packChoices, untouchedPack, type Pack, type PackChoices } from '../shims/reachablePacks'
import { thicknessKey, type StockShim } from '../shims/leafKinds'
import type { Millimetres } from '../units/unitSystem'

export type Side = 'left' | 'right'
export const SIDES: readonly Side[] = ['left', 'right']
export type MachineRole = 'movable' | 'stationary'

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
  /** Every way to make lift number i on one side, easiest first. */
  readonly packs: (i: number, side: Side) => readonly Pack[]
}

const total = (list: readonly Millimetres[]) => list.reduce((s, t) => s + t, 0)

/** Every lift that real packs can make; the same under the left and the right foot of a pair. */
export const pairLifts = (foot: PlanFoot, stock: readonly StockShim[], packLimit: number): PairLifts => {
  const choose = (side: Side): PackChoices =>
    foot.locked
      ? untouchedPack(foot.existing[side])
      : packChoices(foot.existing[side], stock, packLimit, foot.maxPack)
  const same = foot.existing.left.join() === foot.existing.right.join()
  const left = choose('left')
  const right = same ? left : choose('right')
  const asIs = {
    left: thicknessKey(total(foot.existing.left)),
    right: thicknessKey(total(foot.existing.right)),
  }
  const between = asIs.right - asIs.left
  const keys = left.keys
    .filter((key) => right.has(key + between) && (!foot.locked || key === asIs.left))
    .sort((a, b) => a - b)
  const start = total(foot.existing.left)
  return {
    foot,
    v: Float64Array.from(keys, (key) => (key === asIs.left ? 0 : left.pack(key).total - start)),
    changes: Float64Array.from(keys, (key) => left.changes(key) + right.changes(key + between)),
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
  const lifts = pairLifts(foot, stock, packLimit)
  return Array.from(lifts.v, (v, i) => ({
    v,
    changes: lifts.changes[i] as number,
    packs: { left: lifts.packs(i, 'left')[0] as Pack, right: lifts.packs(i, 'right')[0] as Pack },
  }))
}
