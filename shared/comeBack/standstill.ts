import { z } from 'zod'
import { issue } from '../issue'
import { moment, text, uuid, words } from '../text'

const LONGEST_DAYS = 60
const DAY = 86_400_000

/** When a hall stands, as it is planned. */
export const standstillFields = z
  .object({
    area: words('which-hall', 80),
    startsAt: moment,
    endsAt: moment,
    note: text('note', 200),
    /** It runs after all; what landed on it looks for another stop. */
    cancelled: z.boolean({ error: issue('cancelled-or-not') }),
  })
  .superRefine(({ startsAt, endsAt }, context) => {
    const long = Date.parse(endsAt) - Date.parse(startsAt)
    if (long <= 0)
      context.addIssue({ code: 'custom', path: ['endsAt'], message: issue('ends-before-it-starts') })
    else if (long > LONGEST_DAYS * DAY)
      context.addIssue({
        code: 'custom',
        path: ['endsAt'],
        message: issue('stands-too-long', '', LONGEST_DAYS),
      })
  })
export type StandstillFields = z.infer<typeof standstillFields>

export const newStandstill = z.intersection(z.object({ id: uuid('standstills-id') }), standstillFields)
export const standstillChange = z.intersection(
  z.object({ version: z.int({ error: issue('give-the-version-you-changed') }).min(1) }),
  standstillFields,
)

/** A standstill as the program keeps it. */
export type StandstillRecord = StandstillFields & { readonly id: string; readonly version: number }
