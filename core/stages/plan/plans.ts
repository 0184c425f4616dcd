import { lineSum, type Misalignment } from '../../frame/planes'
import { judge, type Judgement } from '../../judge/judge'
import type { SettledTolerance } from '../../judge/tolerance'
import type { LogEntry } from '../../logbook/entry'
import type { Measurement } from '../measure/measurement'
import type { TakenPlan } from '../measure/rounds'
import type { Footwork } from '../move/footwork'

/** The plan that waits to be carried out. */
export interface PlanRecord {
  readonly entry: LogEntry<'plan-chosen'>
  readonly footwork: Footwork
  readonly predicted: Misalignment | null
  readonly judgement: Judgement | null
  /** The sets in use are not those it was made from, or it aims elsewhere: choose again. */
  readonly stale: boolean
}

const sameSets = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((id) => b.includes(id))

/** A plan beside the measurement it is to be carried out on. */
export const recordPlan = (
  { entry, overtaken, retargeted }: TakenPlan,
  footwork: Footwork,
  from: Measurement,
  tolerance: SettledTolerance,
  target: Misalignment,
): PlanRecord => {
  const predicted = from.coupling && footwork.change ? lineSum(from.coupling, footwork.change) : null
  const { sets } = entry.payload
  return {
    entry,
    footwork,
    predicted,
    judgement: predicted && judge(predicted, tolerance, target),
    stale: retargeted || (sets === null ? overtaken : !sameSets(sets, from.used)),
  }
}
