import type { Content } from 'pdfmake/interfaces'
import type { BeltState } from '../../core/jobs/belt'
import type { CoupledState } from '../../core/jobs/coupled'
import type { DrumState } from '../../core/jobs/drum'
import type { FlangeState } from '../../core/jobs/flange'
import type { TrainState } from '../../core/jobs/train'
import type { GearState } from '../../core/jobs/gear'
import type { Job } from '../../core/jobs/jobs'
import type { Reported, Section } from './section'
import { couplingResult } from './sections/couplingResult'
import { driveWork } from './sections/drive'
import { drumResult, drumTrued } from './sections/drum'
import { facts } from './sections/facts'
import { hotCheck } from './sections/hotCheck'
import { feetRounds } from './sections/feet'
import { flangeFound, flangeMoves, flangeResult } from './sections/flange'
import { gearFinished, gearFound, gearResult, gearRounds, gearTaken } from './sections/gear'
import { levelAndRunout } from './sections/level'
import { lineResult, lineRounds } from './sections/lineResult'
import { lookedAt } from './sections/look'
import { movesMade } from './sections/moves'
import { proved } from './sections/prove'
import { readings } from './sections/readings'
import { flangeTaken, registerTaken } from './sections/register'
import { record } from './sections/record'
import { roughInLooks } from './sections/roughIn'
import { settingTables } from './sections/setting'
import { setUps } from './sections/setUps'
import { signature } from './sections/signature'
import { atCouplings, atMachines, trainPlans, trainResult, trainTaken } from './sections/train'
import { tensionResult, tensionRounds } from './sections/tension'

/** What is printed of each kind of job, in order. One row a section. */
const COUPLED: readonly Section<CoupledState>[] = [
  facts,
  couplingResult,
  movesMade,
  proved,
  hotCheck,
  lookedAt,
  feetRounds,
  levelAndRunout,
  roughInLooks,
  setUps,
  readings,
  registerTaken,
  record,
  signature,
]
const TRAIN: readonly Section<TrainState>[] = [
  facts,
  trainResult,
  trainPlans,
  atCouplings(couplingResult, movesMade, proved, hotCheck, levelAndRunout, roughInLooks, setUps, readings),
  atMachines(lookedAt, feetRounds),
  trainTaken,
  record,
  signature,
]
const FLANGE: readonly Section<FlangeState>[] = [
  facts,
  flangeResult,
  flangeMoves,
  proved,
  lookedAt,
  flangeFound,
  setUps,
  readings,
  flangeTaken,
  record,
  signature,
]
const DRUM: readonly Section<DrumState>[] = [
  facts,
  drumResult,
  drumTrued,
  movesMade,
  proved,
  lookedAt,
  feetRounds,
  setUps,
  readings,
  registerTaken,
  record,
  signature,
]
const GEAR: readonly Section<GearState>[] = [
  facts,
  gearResult,
  gearRounds,
  gearFinished,
  gearFound,
  lookedAt,
  gearTaken,
  record,
  signature,
]
const BELT: readonly Section<BeltState>[] = [
  facts,
  lineResult,
  tensionResult,
  driveWork,
  settingTables,
  lineRounds,
  tensionRounds,
  record,
  signature,
]

/** All sections of a job's report. */
export const sectionsOf = (job: Job, report: Reported): readonly Content[] => {
  switch (job.kind) {
    case 'coupled':
      return COUPLED.flatMap((section) => section(job.state, report))
    case 'train':
      return TRAIN.flatMap((section) => section(job.state, report))
    case 'flange':
      return FLANGE.flatMap((section) => section(job.state, report))
    case 'drum':
      return DRUM.flatMap((section) => section(job.state, report))
    case 'gear':
      return GEAR.flatMap((section) => section(job.state, report))
    case 'belt':
      return BELT.flatMap((section) => section(job.state, report))
  }
}
