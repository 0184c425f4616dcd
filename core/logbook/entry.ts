import type { EntryPayloads } from './payloads'

export type EntryKind = keyof EntryPayloads

/** What every line of a logbook carries besides its kind and payload. */
export interface Envelope {
  /** Made by the client; posting it twice is harmless. */
  readonly id: string
  /** The person who writes. */
  readonly author: string
  /** ISO time at the client. */
  readonly madeAt: string
  /** ISO time at the server, null while it waits to be sent. */
  readonly receivedAt: string | null
  /** The last entry the writer had seen; null for the first one. */
  readonly after: string | null
  /** The move this entry belongs before, when a person settled that it does; see docs/logbook.md. */
  readonly before: string | null
  /** The coupling or the machine of a train that it is about; missing where it is about the whole, and on any other machine. */
  readonly part?: string | undefined
  /** Who stood by it with their PIN, where the writer may not answer for it alone. */
  readonly second?: string | undefined
  /** The entry this one corrects, and why. */
  readonly supersedes: { readonly entry: string; readonly reason: string } | null
}

/** A kind with the payload that belongs to it. */
export type EntryBody<K extends EntryKind = EntryKind> = {
  [P in K]: { readonly kind: P; readonly payload: EntryPayloads[P] }
}[K]

/** One line of a job's logbook. Never edited, never deleted. */
export type LogEntry<K extends EntryKind = EntryKind> = Envelope & EntryBody<K>
