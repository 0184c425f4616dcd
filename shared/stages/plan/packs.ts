import type { MachineRole, Side } from '../../../core/plan/pairNames'
import type { PlanFoot, PlannedMove } from '../../../core/plan/movePlan'
import { keyOfPair, SIDES } from '../../../core/plan/pairNames'
import { thicknessKey } from '../../../core/shims/leafKinds'
import type { Millimetres } from '../../../core/units/unitSystem'

/** A leaf under a foot as a plan leaves it. */
export interface PlannedLeaf {
  readonly thickness: Millimetres
  readonly fresh: boolean
}

/** One foot before and after a plan. */
export interface PlannedPack {
  readonly machine: MachineRole
  readonly pair: string
  readonly side: Side
  /** Bottom up, as it lies now. */
  readonly now: readonly Millimetres[]
  /** Bottom up, thin between thick, as it is to lie. */
  readonly leaves: readonly PlannedLeaf[]
  readonly takeOut: readonly Millimetres[]
  readonly putIn: readonly Millimetres[]
}

/** Pairs of both machines as they stand along the shafts: the driven machine's from its far end to the coupling, then the movable one's outward. */
export const fromFarEnd = <T extends { readonly machine?: MachineRole }>(
  pairs: readonly T[],
): readonly T[] => [
  ...pairs.filter((p) => p.machine === 'stationary').reverse(),
  ...pairs.filter((p) => p.machine !== 'stationary'),
]

/** Every foot of a plan, pair by pair from the coupling outward, left before right. */
export const plannedPacks = (
  feet: readonly PlanFoot[],
  moves: readonly PlannedMove[],
): readonly PlannedPack[] =>
  feet.flatMap((foot) =>
    SIDES.map((side): PlannedPack => {
      const pack = moves.find((m) => keyOfPair(m) === keyOfPair(foot))?.packs[side]
      const machine = foot.machine ?? 'movable'
      const now = foot.existing[side]
      if (!pack || pack.changes === 0)
        return {
          machine,
          pair: foot.id,
          side,
          now,
          leaves: now.map((thickness) => ({ thickness, fresh: false })),
          takeOut: [],
          putIn: [],
        }
      // Which of several equal leaves is the fresh one doesn't matter: the upper ones are called so.
      const fresh = pack.putIn.map(thicknessKey)
      const leaves = [...pack.shims].reverse().map((thickness) => {
        const at = fresh.indexOf(thicknessKey(thickness))
        if (at >= 0) fresh.splice(at, 1)
        return { thickness, fresh: at >= 0 }
      })
      return {
        machine,
        pair: foot.id,
        side,
        now,
        leaves: leaves.reverse(),
        takeOut: pack.takeOut,
        putIn: pack.putIn,
      }
    }),
  )

/** One thickness of a pick list: leaves from the shelf, and leaves that go back to it. */
export interface PickedLeaf {
  readonly thickness: Millimetres
  readonly take: number
  readonly back: number
  /** Peeled off a laminated piece. */
  readonly peeled: boolean
}

/** What to take from the shelf for a plan and what comes back, thickest first. What comes out under one foot may go in under another. */
export const pickList = (moves: readonly Pick<PlannedMove, 'packs'>[]): readonly PickedLeaf[] => {
  const counts = new Map<number, { thickness: Millimetres; take: number; out: number; peeled: boolean }>()
  const count = (thickness: Millimetres) => {
    const key = thicknessKey(thickness)
    const known = counts.get(key) ?? { thickness, take: 0, out: 0, peeled: false }
    counts.set(key, known)
    return known
  }
  for (const m of moves)
    for (const side of SIDES) {
      const pack = m.packs[side]
      pack.putIn.forEach((t, i) => {
        const leaf = count(t)
        leaf.take++
        if ((pack.pieces[i] ?? -1) >= 0) leaf.peeled = true
      })
      for (const t of pack.takeOut) count(t).out++
    }
  return [...counts.values()]
    .map(({ thickness, take, out, peeled }) => ({
      thickness,
      take: Math.max(0, take - out),
      back: Math.max(0, out - take),
      peeled,
    }))
    .filter((l) => l.take + l.back > 0)
    .sort((a, b) => b.thickness - a.thickness)
}
