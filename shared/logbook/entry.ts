import { z } from 'zod'
import type { Envelope, EntryBody, LogEntry } from '../../core/logbook/entry'
import { issue } from '../issue'
import { moment, uuid, words } from '../text'
import { isEntryKind, KINDS, readBody } from './kinds'
import { liftPayload, versionOf } from './lifts'

const envelope = z.object({
  id: uuid('entry-id'),
  author: uuid('who-is-writing'),
  madeAt: moment,
  after: uuid('last-entry-seen').nullable().default(null),
  before: uuid('move-it-belongs-before').nullable().default(null),
  part: z
    .string({ error: issue('part-of-the-train') })
    .min(1, { error: issue('part-of-the-train') })
    .max(40, { error: issue('part-of-the-train') })
    .nullish()
    .transform((part) => part ?? undefined),
  second: uuid('second-person')
    .nullish()
    .transform((second) => second ?? undefined),
  supersedes: z
    .object({ entry: uuid('entry-corrected'), reason: words('why-corrected', 500) })
    .nullable()
    .default(null),
  version: z
    .int({ error: issue('entry-version') })
    .min(1, { error: issue('entry-version') })
    .optional()
    .describe('Version of the payload; today’s when missing.'),
})

// Every kind carries the envelope itself: an intersection would parse each entry twice and merge the halves.
const [first, ...rest] = Object.values(KINDS).map((k) => k.body.extend(envelope.shape))

/** What a client posts: an entry with its own UUID, before the server has received it. */
export const entryDraft = z
  .discriminatedUnion('kind', [first as NonNullable<typeof first>, ...rest], {
    error: issue('that-kind-of-entry-is-not'),
  })
  .refine((draft) => draft.version === undefined || draft.version <= versionOf(draft.kind), {
    error: issue('entry-from-a-newer-program'),
    path: ['version'],
  })

/** A posted entry; its body is core's. */
export type EntryDraft = Omit<Envelope, 'receivedAt'> & EntryBody

/** Proof for the compiler that what the schema lets through is what core folds. */
export const asDraft = ({ version: _, ...draft }: z.output<typeof entryDraft>): EntryDraft => draft

/** A posted entry of an older version, lifted to today's before it is parsed. Anything else stays as it is. */
export const liftDraft = (raw: unknown): unknown => {
  if (typeof raw !== 'object' || raw === null || !('kind' in raw) || !('version' in raw)) return raw
  const { kind, version } = raw
  if (!isEntryKind(kind) || typeof version !== 'number' || !('payload' in raw)) return raw
  const today = versionOf(kind)
  if (!Number.isInteger(version) || version < 1 || version >= today) return raw
  return { ...raw, version: today, payload: liftPayload(kind, version, raw.payload) }
}

/**
 * An entry from a file, of whatever version, as core folds it today. Throws a ZodError that says what is
 * wrong with it.
 */
export const readEntry = (raw: unknown): LogEntry => {
  const kept = z
    .looseObject({ kind: z.string(), version: z.number().default(1), payload: z.unknown() })
    .parse(raw)
  const own = envelope.omit({ version: true }).extend({ receivedAt: z.string().nullable() }).parse(raw)
  return { ...own, ...readBody(kept.kind, kept.version, kept.payload) }
}
