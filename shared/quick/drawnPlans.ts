import type { Misalignment } from '../../core/frame/planes'
import type { SettledTolerance } from '../../core/judge/tolerance'
import type { MovePlan, PlanInput } from '../../core/plan/movePlan'
import { toCore, type UnitSystem } from '../../core/units/unitSystem'
import { movePlanInput, planInputOf } from '../calculation/movePlan'
import { settled } from '../calculation/settled'
import { inputToCore } from '../calculation/unitConversion'
import type { PlanChoice } from '../stages/plan/choice'

/** What the board of a plan draws, and what its feet can be dragged to. Core units. */
export interface PlanSheet {
  readonly input: PlanInput
  readonly tolerance: SettledTolerance
  readonly units: UnitSystem
  /** Feet of the motor where it stays: they are drawn, and can't be dragged. */
  readonly still: readonly { readonly id: string; readonly x: number }[]
}

/** The sheet of a planning sum's input; null while it is not whole. */
export const planSheet = (raw: unknown): PlanSheet | null => {
  const parsed = movePlanInput.safeParse(raw)
  if (!parsed.success) return null
  const given = inputToCore(movePlanInput, parsed.data, parsed.data.units)
  const limits = settled(given.tolerance, given.rpm)
  if (!limits.ok || !given.machines.movable) return null
  return {
    input: planInputOf(given, limits.value),
    tolerance: limits.value,
    units: parsed.data.units,
    still: given.movable === 'stationary' ? given.machines.movable.feet : [],
  }
}

/** A plan as the sum's result tells it, as far as the board draws it. */
interface ToldPlan {
  readonly kind: MovePlan['kind']
  readonly moves: readonly {
    readonly machine: 'movable' | 'stationary'
    readonly id: string
    readonly v: number
    readonly h: number
  }[]
  readonly predicted: Misalignment
  readonly verdict: 'in' | 'edge' | 'out' | 'unknown'
}

/** One plan of the result, ready to be drawn. Core units. */
export interface DrawnPlan {
  readonly choice: PlanChoice
  readonly predicted: Misalignment
  readonly verdict: ToldPlan['verdict']
}

const inCore = ({ offset, slope }: Misalignment, units: UnitSystem): Misalignment => {
  const of = (x: number | null, measured: 'displacement' | 'slope') =>
    x === null ? null : toCore(x, measured, units)
  return {
    offset: { v: of(offset.v, 'displacement'), h: of(offset.h, 'displacement') },
    slope: { v: of(slope.v, 'slope'), h: of(slope.h, 'slope') },
  }
}

/** The plans of a result on this sheet; a foot that a plan leaves alone stands still. */
export const drawnPlans = (sheet: PlanSheet, result: unknown): readonly DrawnPlan[] =>
  ((result as { readonly plans?: readonly ToldPlan[] } | null)?.plans ?? []).map((plan) => ({
    choice: {
      option: plan.kind,
      feet: sheet.input.feet.map(({ machine = 'movable', id, x }) => {
        const move = plan.moves.find((m) => m.machine === machine && m.id === id)
        const small = (d: number) => toCore(d, 'displacement', sheet.units)
        return { machine, id, x, v: small(move?.v ?? 0), h: small(move?.h ?? 0) }
      }),
    },
    predicted: inCore(plan.predicted, sheet.units),
    verdict: plan.verdict,
  }))
