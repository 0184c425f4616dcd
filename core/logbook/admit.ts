import type { EntryKind, LogEntry } from './entry'
import { isMove } from './moves'
import { conflict, invalid, type Objection, type Stage } from './stage'

/** Kinds that may be corrected by a later entry of the same kind. */
const CORRECTABLE: readonly EntryKind[] = [
  'job-opened',
  'set-up',
  'readings-taken',
  'plan-chosen',
  'train-plan-chosen',
  'move-made',
  'flange-plan-chosen',
  'flange-moved',
  'sheaves-read',
  'contacts-checked',
  'remark',
]

/** Kinds that mean the machine as it stood when they were written: a move in between changes that. */
const OF_A_ROUND: readonly EntryKind[] = [
  'readings-taken',
  'plan-chosen',
  'flange-plan-chosen',
  'train-plan-chosen',
]

/** The first move in the logbook that came after what the writer had seen; null when there is none. */
export const moveSince = (logbook: readonly LogEntry[], after: string | null): LogEntry | null => {
  // From the end: what the writer had seen is seldom far back.
  let seen = after === null ? -1 : logbook.length - 1
  while (seen >= 0 && logbook[seen]?.id !== after) seen--
  return logbook.slice(seen + 1).find((e) => isMove(e) && e.supersedes === null) ?? null
}

const lastButRemarks = (logbook: readonly LogEntry[]): LogEntry | null => {
  for (let i = logbook.length - 1; i >= 0; i--) {
    const entry = logbook[i] as LogEntry
    if (entry.kind !== 'remark') return entry
  }
  return null
}

/**
 * What any logbook asks of its next entry, whatever the kind of job: an opening first and once,
 * nothing but remarks after the close, corrections of what can be corrected, once. Null when it has
 * nothing against it.
 */
export const logbookObjection = (
  logbook: readonly LogEntry[],
  stages: readonly Pick<Stage<string, never>, 'id' | 'skip'>[],
  entry: LogEntry,
): Objection | null => {
  const opened = logbook.some((e) => e.kind === 'job-opened')
  if (!opened && (entry.kind !== 'job-opened' || entry.supersedes)) return conflict('not-open')
  if (!opened) return null
  if (entry.kind === 'job-opened' && !entry.supersedes) return conflict('already-open')
  // Nothing but remarks stands behind a closing: only the last of the others can be one.
  if (entry.kind !== 'remark' && lastButRemarks(logbook)?.kind === 'job-closed') return conflict('job-closed')

  if (entry.supersedes) {
    const { entry: id } = entry.supersedes
    const old = logbook.find((e) => e.id === id)
    if (!old) return invalid('no-such-entry', 'supersedes', 'entry')
    if (old.kind !== entry.kind) return invalid('other-kind', 'kind')
    if (!CORRECTABLE.includes(old.kind)) return invalid('not-correctable', 'supersedes', 'entry')
    if (logbook.some((e) => e.supersedes?.entry === id)) return conflict('already-corrected')
    return null
  }
  if (entry.before !== null) {
    if (!logbook.some((e) => e.id === entry.before && isMove(e))) return invalid('no-such-move', 'before')
  } else if (OF_A_ROUND.includes(entry.kind) && moveSince(logbook, entry.after))
    return conflict('moved-meanwhile')

  if (entry.kind === 'stage-skipped') {
    const { stage } = entry.payload
    if (!stages.some((s) => s.id === stage && s.skip !== 'never'))
      return invalid('not-skippable', 'payload', 'stage')
  }
  return null
}
