import { z } from 'zod'
import { issue } from '../issue'
import { uuid } from '../text'

/** A calendar to subscribe to: of one person's returns, or of the whole works. */
export const newFeed = z.object({
  id: uuid('feeds-id'),
  person: uuid('whose-calendar').nullable(),
})

export const feedChange = z.object({
  revoked: z.literal(true, { error: issue('revoke-or-leave') }),
})
