import { issue, type Thing } from './issue'
import { z } from 'zod'

// Control characters and broken surrogates can't be stored as text; line breaks and tabs can.
// eslint-disable-next-line no-control-regex
const UNPRINTABLE = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/

/** A text of a person's, possibly empty. */
export const text = (what: Thing, longest = 2000) =>
  z
    .string({ error: issue('text', what) })
    .max(longest, { error: issue('too-long', what, longest) })
    .refine((s) => !UNPRINTABLE.test(s) && s.isWellFormed(), {
      error: issue('unprintable', what),
    })

/** A text that must say something. */
export const words = (what: Thing, longest = 2000) =>
  text(what, longest).refine((s) => s.trim() !== '', { error: issue('say', what) })

/** A UUID made by the client, in small letters however it was written. */
export const uuid = (what: Thing) => z.uuid({ error: issue('uuid', what) }).toLowerCase()

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i

/** Whether a part of an address can be anything's id at all. */
export const isUuid = (s: string): boolean => UUID.test(s)

/** A reason, in a few words. */
export const why = words('why', 500)

/** A moment, as ISO date and time. */
export const moment = z.iso
  .datetime({ offset: true, error: issue('iso-time') })
  .refine((iso) => Date.parse(iso) >= Date.UTC(2000, 0) && Date.parse(iso) < Date.UTC(2100, 0), {
    error: issue('that-time-cant-be-right-check'),
  })
  // One way to write a moment: in UTC, to the millisecond. Two clients that write it differently mean the same.
  .overwrite((iso) => (Number.isFinite(Date.parse(iso)) ? new Date(iso).toISOString() : iso))
