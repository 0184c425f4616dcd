import type { Random } from '../../core/random/random'
import { afterMove, type SimulatedCouple } from '../../core/simulate/simulatedCouple'
import type { Spread } from '../../core/uncertainty/spread'

/** What was asked for at the two foot pairs. */
export interface Asked {
  readonly inboard: { readonly v: number; readonly h: number }
  readonly outboard: { readonly v: number; readonly h: number }
}

/** Does a move as hands do it: shims, settling and side moves each with their own error. */
export const doMove = (
  couple: SimulatedCouple,
  asked: Asked,
  hands: Spread,
  normal: Random,
  planes: 'v' | 'h' | 'both',
): SimulatedCouple => {
  const vertical = planes !== 'h'
  const sideways = planes !== 'v'
  const lift = (v: number) => (vertical ? v + hands.shim * normal() + hands.settling * normal() : 0)
  const push = (h: number) => (sideways ? h + hands.side * normal() : 0)
  const inboard = lift(asked.inboard.v)
  const outboard = lift(asked.outboard.v)
  return afterMove(couple, {
    lifts: [inboard, inboard, outboard, outboard],
    inboardSide: push(asked.inboard.h),
    outboardSide: push(asked.outboard.h),
  })
}
