import type { EntryKind, LogEntry } from '../../core/logbook/entry'
import { closingLifts } from '../stages/close/lifts'
import { readingLifts } from '../stages/measure/lifts'
import { moveLifts } from '../stages/move/lifts'
import { planLifts } from '../stages/plan/lifts'
import { setUpLifts } from '../stages/setUp/lifts'
import type { Lift } from './lift'

/** `LIFTS[kind][n]` brings version n + 1 to n + 2. Kinds without one are at their first version. */
const LIFTS: { readonly [K in EntryKind]?: readonly Lift[] } = {
  ...setUpLifts,
  ...readingLifts,
  ...planLifts,
  ...moveLifts,
  ...closingLifts,
}

/** Today's version of a kind's payload. */
export const versionOf = (kind: EntryKind): number => (LIFTS[kind]?.length ?? 0) + 1

/** A payload of an older version, lifted to today's; what a lift can't read stays as it is. */
export const liftPayload = (kind: EntryKind, version: number, payload: unknown): unknown => {
  try {
    return (LIFTS[kind] ?? []).slice(version - 1).reduce((now, lift) => lift(now), payload)
  } catch {
    return payload
  }
}

/** An entry on the wire and on a device: the version of its payload stands beside it. */
export type WireEntry = LogEntry & { readonly version: number }

export const toWire = (entry: LogEntry): WireEntry => ({ ...entry, version: versionOf(entry.kind) })

/**
 * An entry from the server or this device as core folds it today. It went through the door's schema
 * before it was kept, so it is lifted, not judged again: the schemas stay on the server.
 */
export const fromWire = (raw: unknown): LogEntry => {
  const { version = 1, ...entry } = raw as Partial<WireEntry> & LogEntry
  const { id, author, madeAt, receivedAt, kind } = entry
  const payload = liftPayload(kind, version, entry.payload)
  const envelope = {
    id,
    author,
    madeAt,
    receivedAt,
    after: entry.after ?? null,
    before: entry.before ?? null,
    supersedes: entry.supersedes ?? null,
    ...(entry.part == null ? {} : { part: entry.part }),
    ...(entry.second == null ? {} : { second: entry.second }),
  }
  return { ...envelope, kind, payload } as LogEntry
}
