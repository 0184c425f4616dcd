import { footworkIn, FOOTWORK_KINDS } from '../history/footwork'
import type { EntryBody, LogEntry } from '../logbook/entry'
import type { UnitSystem } from '../units/unitSystem'

/** Kinds of entry that take leaves from the stores or bring some back: under feet, and under the bolts of a flange. */
export const LEAF_KINDS = [...FOOTWORK_KINDS, 'flange-moved'] as const satisfies readonly LogEntry['kind'][]

/** Leaves that an entry put in and took out, wherever it did; null where it touched none. */
export const leavesIn = (
  e: EntryBody,
): {
  readonly units: UnitSystem
  readonly changes: readonly { readonly takenOut: readonly number[]; readonly putIn: readonly number[] }[]
} | null => (e.kind === 'flange-moved' ? e.payload : footworkIn(e))
