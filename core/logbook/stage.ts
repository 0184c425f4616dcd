import type { Verdict } from '../judge/judge'
import type { EntryKind, LogEntry } from './entry'

/** todo, done, skipped and stale are plain; a verdict stands where a stage has one. */
export type Mark = 'todo' | 'stale' | 'done' | 'skipped' | Verdict

/** Why a well-formed entry can't be taken into this logbook. Its words are in shared/wording. */
export interface Objection {
  readonly code: ObjectionCode
  /** conflict: the logbook has moved on. invalid: the entry itself is wrong. */
  readonly sort: 'conflict' | 'invalid'
  /** Where in the entry it lies. */
  readonly path: readonly (string | number)[]
}

export type ObjectionCode =
  | 'job-closed'
  | 'already-open'
  | 'not-open'
  | 'not-this-job'
  | 'no-set-up'
  | 'other-circles'
  | 'no-such-set'
  | 'no-such-feet'
  | 'no-such-place'
  | 'no-such-point'
  | 'drum-unread'
  | 'not-a-tram'
  | 'shimmed-already'
  | 'feet-missing'
  | 'flange-missing'
  | 'no-such-flange'
  | 'no-such-bolt'
  | 'not-paired'
  | 'spigot-tight'
  | 'rocks-needs-why'
  | 'feet-unread'
  | 'runout-positions'
  | 'feeler-places'
  | 'face-circle-missing'
  | 'feelers-contradict'
  | 'read-already'
  | 'not-skippable'
  | 'nothing-moved'
  | 'too-many-leaves'
  | 'no-such-entry'
  | 'other-kind'
  | 'already-corrected'
  | 'not-correctable'
  | 'not-safe'
  | 'missed-zero'
  | 'exception-needed'
  | 'signed-otherwise'
  | 'moved-meanwhile'
  | 'no-such-move'
  | 'hot-run-on'
  | 'no-hot-run'
  | 'ended-before-begun'
  | 'hot-unmeasured'
  | 'keeping-needs-why'
  | 'bumped-coupled'
  | 'bumping-already'
  | 'no-bump'
  | 'made-up-already'
  | 'not-made-up'
  | 'read-it'
  | 'belts-missing'
  | 'tension-unread'
  | 'not-variable'
  | 'opened-too-far'
  | 'no-such-groove'
  | 'guard-first'
  | 'disturbed-already'
  | 'paint-a-run'
  | 'both-runs'
  | 'both-blocks'
  | 'not-refitted'
  | 'mesh-not-cleared'
  | 'nothing-shifted'
  | 'contact-unread'
  | 'backlash-unread'
  | 'pins-hold'
  | 'no-such-layers'
  | 'no-such-part'
  | 'train-unread'
  | 'machine-locked'

export const conflict = (code: ObjectionCode): Objection => ({ code, sort: 'conflict', path: [] })
export const invalid = (code: ObjectionCode, ...path: (string | number)[]): Objection => ({
  code,
  sort: 'invalid',
  path,
})

/**
 * One row of a run sheet. `Sees` names only the slices of a job that it reads, so that several kinds
 * of job may share it.
 */
export interface Stage<Id extends string, Sees> {
  readonly id: Id
  /** Kinds of entry that are written here and admitted because of it. */
  readonly writes: readonly EntryKind[]
  readonly skip: 'never' | 'once' | 'each-round'
  readonly mark: (job: Sees) => Mark
  /** Whether it wants the next pair of hands. The first in the sheet that does has the turn. */
  readonly wants: (job: Sees) => boolean
  /** Why this stage can't take the entry now; null when it can. `entry` is of a kind it writes. */
  readonly objection?: (job: Sees, entry: LogEntry) => Objection | null
}

/** Stages passed over: for the whole job, and since the last move. */
export interface Skips {
  readonly once: ReadonlyMap<string, string>
  readonly thisRound: ReadonlyMap<string, string>
}

export interface SheetRow<Id extends string> {
  readonly id: Id
  readonly mark: Mark
  /** Why it was passed over, while that holds; null otherwise. */
  readonly skipped: string | null
}

/** Where a job stands: a mark for each stage, and the stage whose turn it is. */
export interface Sheet<Id extends string> {
  readonly rows: readonly SheetRow<Id>[]
  readonly current: Id
}

export const defineStage = <const Id extends string, Sees>(stage: Stage<Id, Sees>): Stage<Id, Sees> => stage

/** Why a stage is passed over now; null when it isn't. */
const skipOf = (stage: Pick<Stage<string, never>, 'id' | 'skip'>, skips: Skips): string | null => {
  if (stage.skip === 'never') return null
  return (stage.skip === 'once' ? skips.once : skips.thisRound).get(stage.id) ?? null
}

/** Marks every stage and finds whose turn it is; the last stage when none wants. */
export const sheetOf = <Id extends string, Job extends { readonly skips: Skips }>(
  stages: readonly [...(readonly Stage<Id, Job>[]), Stage<Id, Job>],
  job: Job,
): Sheet<Id> => {
  const rows = stages.map((s): SheetRow<Id> => {
    const mark = s.mark(job)
    const skipped = skipOf(s, job.skips)
    return mark === 'todo' && skipped !== null
      ? { id: s.id, mark: 'skipped', skipped }
      : { id: s.id, mark, skipped: null }
  })
  const turn = stages.find((s) => skipOf(s, job.skips) === null && s.wants(job))
  const last = stages[stages.length - 1] as Stage<Id, Job>
  return { rows, current: (turn ?? last).id }
}

/** What the stages of a job say against an entry: a kind none of them writes is not this job's. */
export const stageObjection = <Job>(
  stages: readonly Stage<string, Job>[],
  job: Job,
  entry: LogEntry,
): Objection | null => {
  const writers = stages.filter((s) => s.writes.includes(entry.kind))
  if (writers.length === 0) return conflict('not-this-job')
  for (const s of writers) {
    const found = s.objection?.(job, entry)
    if (found) return found
  }
  return null
}
