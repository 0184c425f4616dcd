import type { MovePlan } from './movePlan'

/** Starting values, minutes: what slackening, lifting, handling and tightening come to with two people and a bar. */
export const STARTING_MINUTES = { foot: 6, shim: 2, push: 8, measuring: 15 } as const

/** What is handled in a move. */
export interface Handling {
  readonly feetOpened: number
  readonly shimsHandled: number
  readonly pairsPushed: number
}

/** A push below this is rounding, mm. */
const NO_PUSH = 1e-9

/** What a plan handles; a pair that is opened is opened left and right. */
export const handlingOf = (plan: Pick<MovePlan, 'pairsOpened' | 'shimsHandled' | 'moves'>): Handling => ({
  feetOpened: 2 * plan.pairsOpened,
  shimsHandled: plan.shimsHandled,
  pairsPushed: plan.moves.filter((m) => Math.abs(m.h) > NO_PUSH).length,
})

/** Minutes by the starting values, from the first bolt to the next set of readings; 0 where nothing is done. */
export const startingMinutes = ({ feetOpened, shimsHandled, pairsPushed }: Handling): number => {
  if (feetOpened === 0 && pairsPushed === 0) return 0
  const { foot, shim, push, measuring } = STARTING_MINUTES
  return feetOpened * foot + shimsHandled * shim + pairsPushed * push + measuring
}

/** About how long a plan takes, minutes to the next five; `factor` as a works' own moves have shown it. */
export const usualMinutes = (handling: Handling, factor = 1): number => {
  const minutes = startingMinutes(handling) * factor
  return minutes === 0 ? 0 : Math.ceil(minutes / 5 - 1e-9) * 5
}
