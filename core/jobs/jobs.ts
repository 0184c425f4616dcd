import type { LogEntry } from '../logbook/entry'
import type { Objection } from '../logbook/stage'
import type { Machine } from '../register/machine'
import type { beltJob, BeltStageId } from './belt'
import { BELT } from './belt'
import type { coupledJob, CoupledStageId } from './coupled'
import { COUPLED } from './coupled'
import type { drumJob, DrumStageId } from './drum'
import { DRUM } from './drum'
import type { flangeJob, FlangeStageId } from './flange'
import { FLANGE } from './flange'
import type { gearJob, GearStageId } from './gear'
import { GEAR } from './gear'
import type { trainJob, TrainStageId } from './train'
import { TRAIN } from './train'
import type { KindOfJob } from './kindOfJob'

export type StageId = CoupledStageId | TrainStageId | FlangeStageId | DrumStageId | GearStageId | BeltStageId
export type Job =
  | ReturnType<typeof coupledJob>
  | ReturnType<typeof trainJob>
  | ReturnType<typeof flangeJob>
  | ReturnType<typeof drumJob>
  | ReturnType<typeof gearJob>
  | ReturnType<typeof beltJob>
export type JobKind = Job['kind']

/** Every kind of job, by what drives its machine. One row a kind. */
const KINDS: Readonly<Record<Machine['drive'], KindOfJob>> = {
  coupled: COUPLED,
  train: TRAIN,
  flange: FLANGE,
  drum: DRUM,
  gear: GEAR,
  belt: BELT,
}

/**
 * Derives the whole state of a job from its machine and its logbook. Pure: the browser folds with an
 * unsaved entry appended, the server folds to write its columns, the report folds to print. Entries
 * in logbook order; the very same logbook is folded once.
 */
export const foldJob = (machine: Machine, logbook: readonly LogEntry[]): Job =>
  KINDS[machine.drive].fold(machine, logbook)

/**
 * Whether a job can take this entry as its next one; null when it can. The same question is asked on
 * the device before it is logged and on the server before it is kept. `folded` saves folding the
 * logbook again.
 */
export const objectionTo = (
  machine: Machine,
  logbook: readonly LogEntry[],
  entry: LogEntry,
  folded: Job = foldJob(machine, logbook),
): Objection | null => KINDS[machine.drive].objection(folded, logbook, entry)
