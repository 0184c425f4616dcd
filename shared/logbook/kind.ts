import { z } from 'zod'
import type { EntryKind } from '../../core/logbook/entry'
import type { EntryPayloads } from '../../core/logbook/payloads'

/** Brings a payload of one version to the next; throws when it is not of that version. */
export type Lift = (old: unknown) => unknown

/** One kind of entry at the door: today's schema, and lifts from older versions. */
export interface Kind {
  readonly name: EntryKind
  /** Today's version of the payload. */
  readonly version: number
  /** `lifts[n]` brings version n + 1 to version n + 2. */
  readonly lifts: readonly Lift[]
}

/**
 * Declares a kind. The schema lets through what core folds, or it doesn't compile. Stored rows never
 * change: a new version of a payload adds a lift here.
 */
export const defineKind = <const K extends EntryKind, S extends z.ZodType<EntryPayloads[K]>>(
  name: K,
  payload: S,
  lifts: readonly Lift[] = [],
) => ({
  name,
  version: lifts.length + 1,
  lifts,
  body: z.object({ kind: z.literal(name), payload }),
})
