import { BELT_STAGES, type BeltStageId } from '../../jobs/belt'
import type { KindOfBench } from '../kindOfBench'
import type { DriveAct, DriveRefusal } from './driveActs'
import { drawDrive, type DriveBench } from './driveBench'
import { freshDrive, type DriveState } from './driveState'
import { afterDriveAct, driveRefusal } from './doDrive'
import { driveMovesMade } from './driveMoves'

const isStage = (id: string): id is BeltStageId => BELT_STAGES.some((s) => s.id === id)

/** A belt drive on the bench. */
export const BELT_BENCH: KindOfBench<'belt', DriveBench, DriveState, DriveAct, DriveRefusal> = {
  drive: 'belt',
  draw: drawDrive,
  fresh: freshDrive,
  refusal: driveRefusal,
  after: afterDriveAct,
  opening: async (bench, from) => {
    const { openingDriveActs, openingDriveEntries } = await import('./driveOpening')
    const stage = isStage(from) ? from : 'make-safe'
    return { entries: openingDriveEntries(bench, stage), acts: openingDriveActs(bench, stage) }
  },
  along: () => null,
  refusedSet: () => null,
  moves: driveMovesMade,
}
