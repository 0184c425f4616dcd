import type { CoupledMachine } from '../register/machine'
import { SKIPPABLE, isKind, type LogEntry } from './entry'

/** Why a well-formed entry can't be taken into this logbook. */
export interface Objection {
  readonly code:
    | 'job-closed'
    | 'already-open'
    | 'not-open'
    | 'no-set-up'
    | 'no-such-set'
    | 'no-such-feet'
    | 'feet-missing'
    | 'not-skippable'
    | 'nothing-moved'
    | 'no-such-entry'
    | 'other-kind'
    | 'already-corrected'
    | 'not-correctable'
  /** conflict: the logbook has moved on. invalid: the entry itself is wrong. */
  readonly sort: 'conflict' | 'invalid'
  readonly path: readonly (string | number)[]
}

const conflict = (code: Objection['code']): Objection => ({ code, sort: 'conflict', path: [] })
const invalid = (code: Objection['code'], ...path: (string | number)[]): Objection => ({
  code,
  sort: 'invalid',
  path,
})

/** Kinds that may be corrected by a later entry of the same kind. */
const CORRECTABLE: readonly LogEntry['kind'][] = [
  'set-up',
  'readings-taken',
  'plan-chosen',
  'move-made',
  'remark',
]

/** Whether the logbook can take this entry as its next one; null when it can. */
export const objectionTo = (
  machine: CoupledMachine,
  logbook: readonly LogEntry[],
  entry: LogEntry,
): Objection | null => {
  const opened = logbook.some((e) => e.kind === 'job-opened')
  if (entry.kind === 'job-opened') return opened ? conflict('already-open') : null
  if (!opened) return conflict('not-open')
  const closed = logbook.some((e) => e.kind === 'job-closed')
  if (closed && entry.kind !== 'remark') return conflict('job-closed')

  if (entry.supersedes) {
    const { entry: id } = entry.supersedes
    const old = logbook.find((e) => e.id === id)
    if (!old) return invalid('no-such-entry', 'supersedes', 'entry')
    if (old.kind !== entry.kind) return invalid('other-kind', 'kind')
    if (!CORRECTABLE.includes(old.kind)) return invalid('not-correctable', 'supersedes', 'entry')
    if (logbook.some((e) => e.supersedes?.entry === id)) return conflict('already-corrected')
  }

  if (isKind(entry, 'readings-taken') && !logbook.some((e) => e.kind === 'set-up'))
    return conflict('no-set-up')
  if (isKind(entry, 'set-used-anyway') || isKind(entry, 'set-left-out')) {
    const set = entry.payload.set
    if (!logbook.some((e) => e.id === set && e.kind === 'readings-taken'))
      return invalid('no-such-set', 'payload', 'set')
  }
  if (isKind(entry, 'stage-skipped') && !SKIPPABLE.includes(entry.payload.stage))
    return invalid('not-skippable', 'payload', 'stage')
  if (isKind(entry, 'set-up') || isKind(entry, 'plan-chosen') || isKind(entry, 'move-made')) {
    const known = new Set(machine.feet.map((f) => f.id))
    if (isKind(entry, 'set-up')) {
      const wrong = entry.payload.feet.findIndex((f) => !known.has(f.id))
      if (wrong >= 0) return invalid('no-such-feet', 'payload', 'feet', wrong, 'id')
      if (entry.payload.feet.length !== known.size) return invalid('feet-missing', 'payload', 'feet')
    } else {
      const { changes, side } = entry.payload
      const wrongChange = changes.findIndex((c) => !known.has(c.pair))
      if (wrongChange >= 0) return invalid('no-such-feet', 'payload', 'changes', wrongChange, 'pair')
      const wrongSide = side.findIndex((c) => !known.has(c.pair))
      if (wrongSide >= 0) return invalid('no-such-feet', 'payload', 'side', wrongSide, 'pair')
      const idle =
        changes.every((c) => c.takenOut.length + c.putIn.length === 0) && side.every((c) => c.moved === 0)
      if (idle && isKind(entry, 'move-made')) return invalid('nothing-moved', 'payload')
    }
  }
  return null
}
