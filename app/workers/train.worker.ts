import { expose } from 'comlink'
import type { TrainInput } from '~~/core/stages/trainPlan/planning'
import { trainPlans } from '~~/core/stages/trainPlan/search'
import type { TrainPlan } from '~~/core/train/trainPlan'
import { highsWithin } from '~~/shared/solver/highs'

/** Seconds for all plans of a line together: whole shims under eight machines take a while, on a slow device longer. */
const SECONDS = 24

/** Plans of a line, away from the page: the programs behind them hold up no finger. */
const search = {
  plans: (input: TrainInput): Promise<readonly TrainPlan[]> => trainPlans(input, highsWithin(SECONDS).solve),
}
export type TrainSearch = typeof search

expose(search)
