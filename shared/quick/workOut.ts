import { calculate } from '../calculation/operations'
import type { CalculationAnswer } from '../calculation/operation'
import type { UnitSystem } from '../../core/units/unitSystem'
import type { ViewFrom } from '../wording/otherEnd'
import { tellingOf } from '../wording/telling'
import type { WorkingStep } from '../working/step'
import { workingOf } from './working'

/** What an operation makes of an input, with the way it came to it. */
export interface WorkedOut {
  readonly answer: CalculationAnswer
  readonly steps: readonly WorkingStep[]
}

/** Input as the contract takes it: its own units are those of the answer. */
interface SumInput {
  readonly units: UnitSystem
}

/** Works out a quick sum and its working, told to whoever looks from this end. */
export const workOut = async (id: string, input: SumInput, viewFrom: ViewFrom): Promise<WorkedOut> => {
  const answer = await calculate(id, input)
  if (!answer.ok) return { answer, steps: [] }
  return {
    answer,
    steps: workingOf(id, input, answer.result, tellingOf(input.units, null, undefined, viewFrom)),
  }
}
