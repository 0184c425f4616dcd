import type { JudgedValue } from '../../../core/judge/judge'
import { worstVerdict } from '../../../core/judge/judge'
import { machinesMoved, type TrainPlanRecord } from '../../../core/stages/trainPlan/plans'
import type { TrainPlan } from '../../../core/train/trainPlan'
import type { TrainFigure } from './drawing'

/** What a plan is picked by: its kind, and the machine where it is for one alone. */
export const keyOfPlan = ({ kind, only }: Pick<TrainPlan, 'kind' | 'only'>): string => `${kind}.${only ?? ''}`

/** The offered plan that was taken, while it holds; null where none of them was. */
const takenOf = (plans: readonly TrainPlan[], { entry }: TrainPlanRecord): TrainPlan | null => {
  const moved = machinesMoved(entry)
  return plans.find((p) => p.kind === entry.payload.option && (p.only === null || moved.has(p.only))) ?? null
}

/** The plan in hand: the one that was picked, else the one taken, else the first offered where anything is to be moved. */
export const planInHand = (
  plans: readonly TrainPlan[],
  given: {
    readonly picked: string
    readonly taken: TrainPlanRecord | null
    readonly inBand: boolean
  },
): TrainPlan | null => {
  const picked = plans.find((p) => keyOfPlan(p) === given.picked)
  if (picked) return picked
  if (given.taken && !given.taken.stale) return takenOf(plans, given.taken)
  return given.inBand ? null : (plans[0] ?? null)
}

/** How a line ends by its figures, the worst of them. */
export const endsAs = (figures: readonly TrainFigure[]): JudgedValue['verdict'] =>
  worstVerdict(figures.map((f) => f.afterVerdict))
