import { expose } from 'comlink'
import { planMoves, type PlanInput, type PlanResult } from '~~/core/plan/movePlan'

/** The search for plans, away from the page: a long one holds up no finger. Ended by ending the worker. */
const search = {
  plan: (input: PlanInput, looked: (settings: number) => void): PlanResult =>
    planMoves(input, (settings) => {
      looked(settings)
      return true
    }),
}
export type PlanSearch = typeof search

expose(search)
