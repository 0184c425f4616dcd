import type { Job } from '../../core/jobs/jobs'
import { partsAt, type TrainStageId, type TrainState } from '../../core/jobs/train'
import { machinesMoved } from '../../core/stages/trainPlan/plans'
import { closingFinding, findingsOfRows, safetyFinding, type Findings } from './commonFindings'
import { findingsWords, trainWords } from './en'
import { findingOfOpening } from './stageFindings'
import type { Telling } from './telling'
import { machinesNamed, partsFinding } from './train'

const foundAt = (id: TrainStageId, state: TrainState, telling: Telling): string => {
  const w = trainWords(telling.words).finding
  switch (id) {
    case 'open':
      return findingOfOpening(state, telling)
    case 'make-safe':
      return safetyFinding(state.safety, telling)
    case 'growth':
      return state.growth ? w.grows : ''
    case 'train-plan':
      return state.plan ? w.moves(machinesNamed([...machinesMoved(state.plan.entry)], state, telling)) : ''
    case 'move':
      return state.rounds === 0 ? '' : findingsWords(telling.words).moves(state.rounds)
    case 'close':
      return closingFinding(state.closing, telling)
    default:
      return partsFinding(partsAt(state, id), telling)
  }
}

/** What each stage of a train found, for its run sheet. */
export const trainFindings = (job: Job, telling: Telling): Findings =>
  job.kind === 'train'
    ? findingsOfRows(job, (id) => foundAt(id as TrainStageId, job.state, telling), telling)
    : {}
