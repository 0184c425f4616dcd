import { keyOfPair, type MachineRole } from '../../../core/plan/pairNames'
import type { PlanInput } from '../../../core/plan/movePlan'
import type { Millimetres } from '../../../core/units/unitSystem'

/** Where the bolts of a pair stand in their holes, now and after a plan. */
export interface BoltRoom {
  readonly machine: MachineRole
  readonly id: string
  readonly locked: boolean
  /** Left toward 3 and toward 9 once it was pushed; below zero where there isn't as much. */
  readonly toward3: Millimetres
  readonly toward9: Millimetres
  /** Places between the end toward 9 (0) and the end toward 3 (1). */
  readonly from: number
  readonly to: number
}

/** The room in the holes of each pair, and what a plan leaves of it. */
export const boltRoom = (
  { feet }: Pick<PlanInput, 'feet'>,
  moves: readonly { readonly id: string; readonly machine?: MachineRole; readonly h: Millimetres }[],
): readonly BoltRoom[] =>
  feet.map((f) => {
    const h = moves.find((m) => keyOfPair(m) === keyOfPair(f))?.h ?? 0
    const locked = f.locked === true
    const [plus, minus] = locked ? [0, 0] : [f.sidePlus, f.sideMinus]
    const whole = plus + minus
    const place = (at: Millimetres) => (whole > 0 ? Math.min(1, Math.max(0, (at + minus) / whole)) : 0.5)
    return {
      machine: f.machine ?? 'movable',
      id: f.id,
      locked,
      toward3: plus - h,
      toward9: minus + h,
      from: place(0),
      to: place(h),
    }
  })
