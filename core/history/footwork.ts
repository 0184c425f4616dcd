import type { EntryBody, LogEntry } from '../logbook/entry'
import type { FootChange, SideChange } from '../stages/plan/entries'
import type { UnitSystem } from '../units/unitSystem'

/** Kinds of entry that change what lies under the feet or where they stand. */
export const FOOTWORK_KINDS = [
  'foot-filled',
  'machine-levelled',
  'hubs-roughed',
  'move-made',
] as const satisfies readonly LogEntry['kind'][]

/** What an entry changed under and beside the feet; null when it changed nothing there. */
export const footworkIn = (
  e: EntryBody,
): {
  readonly units: UnitSystem
  readonly changes: readonly FootChange[]
  readonly side: readonly SideChange[]
} | null => {
  switch (e.kind) {
    case 'foot-filled':
      return { units: e.payload.units, changes: [e.payload.change], side: [] }
    case 'machine-levelled':
      return { units: e.payload.units, changes: e.payload.changes, side: [] }
    case 'hubs-roughed':
    case 'move-made':
      return e.payload
    default:
      return null
  }
}
