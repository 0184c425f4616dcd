import { logbookObjection } from '../logbook/admit'
import type { LogEntry } from '../logbook/entry'
import { remember } from '../logbook/remember'
import { stageObjection, type Objection, type Stage } from '../logbook/stage'
import type { Machine } from '../register/machine'
import type { Job } from './jobs'

/** A kind of job: how its logbook folds, and what it admits. Loaded by itself where only one kind is in view. */
export interface KindOfJob {
  /** The very same logbook is folded once. Entries in logbook order. */
  readonly fold: (machine: Machine, logbook: readonly LogEntry[]) => Job
  /** Whether `folded`, of this kind and of that logbook, can take the entry as its next one; null when it can. */
  readonly objection: (folded: Job, logbook: readonly LogEntry[], entry: LogEntry) => Objection | null
}

/** Kinds that any job takes at any time, whatever its stages. */
const ANYWHERE: readonly LogEntry['kind'][] = [
  'job-opened',
  'remark',
  'stage-skipped',
  'vibration-noted',
  'instrument-spoke',
]

/** A kind of job from its fold and its stages; asked only about machines and jobs of its own kind. */
export const kindOfJob = <M extends Machine, State>(
  fold: (machine: M, logbook: readonly LogEntry[]) => Job & { readonly state: State },
  stages: readonly Stage<string, State>[],
): KindOfJob => ({
  fold: remember((machine: Machine, logbook: readonly LogEntry[]): Job => fold(machine as M, logbook)),
  objection: (folded, logbook, entry) => {
    const general = logbookObjection(logbook, stages, entry)
    if (general || ANYWHERE.includes(entry.kind)) return general
    return stageObjection(stages, folded.state as State, entry)
  },
})
