import { expose } from 'comlink'
import { calculate } from '~~/shared/calculation/operations'
import type { CalculationAnswer } from '~~/shared/calculation/operation'

/** Quick sums, away from the page: a search holds up no finger. Ended by ending the worker. */
const sums = {
  calculate: (operation: string, input: unknown): Promise<CalculationAnswer> => calculate(operation, input),
}
export type Sums = typeof sums

expose(sums)
