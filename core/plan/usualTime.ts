import type { MovePlan } from './movePlan'

/** Starting values, minutes: what slackening, lifting, handling and tightening come to with two people and a bar. */
export const STARTING_MINUTES = { foot: 6, shim: 2, push: 8, measuring: 15 } as const

/** About how long a plan takes from the first bolt to the next set of readings; minutes to the next five. */
export const usualMinutes = (plan: Pick<MovePlan, 'pairsOpened' | 'shimsHandled' | 'moves'>): number => {
  const pushed = plan.moves.filter((m) => Math.abs(m.h) > 1e-9).length
  if (plan.pairsOpened === 0 && pushed === 0) return 0
  const { foot, shim, push, measuring } = STARTING_MINUTES
  const minutes = 2 * plan.pairsOpened * foot + plan.shimsHandled * shim + pushed * push + measuring
  return Math.ceil(minutes / 5) * 5
}
