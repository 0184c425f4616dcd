import type { SolveLinear } from '../../train/linearProgram'
import { planOneMachine, planTrain, type TrainPlan } from '../../train/trainPlan'
import type { TrainInput } from './planning'

/** The plans of a train: least work first, as close as it goes, then what each machine alone could do. */
export const trainPlans = async (
  { train, stock, packLimit, sideStep }: TrainInput,
  solve: SolveLinear,
): Promise<readonly TrainPlan[]> => {
  const plans = await planTrain(train, stock, packLimit, solve, sideStep)
  const free = train.machines.filter((m) => m.feet.some((f) => !f.locked))
  const alone: TrainPlan[] = []
  if (free.length > 1)
    for (const { id } of free) {
      const plan = await planOneMachine(train, id, stock, packLimit, solve, sideStep)
      if (plan) alone.push(plan)
    }
  const easiestFirst = [...plans].sort((a) => (a.kind === 'least-work' ? -1 : 1))
  return [...easiestFirst, ...alone]
}
