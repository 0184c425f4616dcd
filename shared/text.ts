import { z } from 'zod'

// Control characters and broken surrogates can't be stored as text; line breaks and tabs can.
// eslint-disable-next-line no-control-regex
const UNPRINTABLE = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/

/** A text of a person's, possibly empty. */
export const text = (what: string, longest = 2000) =>
  z
    .string({ error: `Give ${what} as text.` })
    .max(longest, { error: `Keep ${what} under ${longest} characters.` })
    .refine((s) => !UNPRINTABLE.test(s) && s.isWellFormed(), {
      error: `There are characters in ${what} that can’t be stored. Type it again.`,
    })

/** A text that must say something. */
export const words = (what: string, longest = 2000) =>
  text(what, longest).refine((s) => s.trim() !== '', { error: `Say ${what}.` })

/** A UUID made by the client. */
export const uuid = (what: string) => z.uuid({ error: `Give ${what} as a UUID.` })
