import { logbookObjection } from '../logbook/admit'
import type { LogEntry } from '../logbook/entry'
import { remember } from '../logbook/remember'
import { stageObjection, type Objection } from '../logbook/stage'
import type { Machine } from '../register/machine'
import { BELT_STAGES, beltJob, type BeltStageId } from './belt'
import { COUPLED_STAGES, coupledJob, type CoupledStageId } from './coupled'

export type StageId = CoupledStageId | BeltStageId

/**
 * Derives the whole state of a job from its machine and its logbook. Pure: the browser folds with an
 * unsaved entry appended, the server folds to write its columns, the report folds to print. Entries
 * in logbook order; the very same logbook is folded once. One row a kind of job.
 */
export const foldJob = remember((machine: Machine, logbook: readonly LogEntry[]) => {
  switch (machine.drive) {
    case 'coupled':
      return coupledJob(machine, logbook)
    case 'belt':
      return beltJob(machine, logbook)
  }
})

export type Job = ReturnType<typeof foldJob>
export type JobKind = Job['kind']

/** Stages of a machine's jobs in working order. */
export const stagesOf = (machine: Machine) => (machine.drive === 'coupled' ? COUPLED_STAGES : BELT_STAGES)

/** Kinds that any job takes at any time, written at no stage. */
const ANYWHERE: readonly LogEntry['kind'][] = ['job-opened', 'remark', 'stage-skipped']

const byStage = (job: Job, entry: LogEntry): Objection | null =>
  job.kind === 'coupled'
    ? stageObjection(COUPLED_STAGES, job.state, entry)
    : stageObjection(BELT_STAGES, job.state, entry)

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
): Objection | null => {
  const general = logbookObjection(logbook, stagesOf(machine), entry)
  if (general || ANYWHERE.includes(entry.kind)) return general
  return byStage(folded, entry)
}
