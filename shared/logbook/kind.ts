import { z } from 'zod'
import type { EntryKind } from '../../core/logbook/entry'
import type { EntryPayloads } from '../../core/logbook/payloads'

/**
 * Declares a kind of entry at the door: today's schema. The schema lets through what core folds, or it
 * doesn't compile. Stored rows never change: a new version of a payload adds a lift (`lifts.ts`).
 */
export const defineKind = <const K extends EntryKind, S extends z.ZodType<EntryPayloads[K]>>(
  name: K,
  payload: S,
) => ({ name, body: z.object({ kind: z.literal(name), payload }) })
