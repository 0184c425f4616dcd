import { z } from 'zod'
import { issue } from '../issue'

/** Rows of a page at most. */
const MOST = 200

/** Which page of a list is asked for: where the one before ended, and how many rows; so many where nothing is said. */
export const paging = (usual: number) => ({
  after: z
    .string()
    .max(200, { error: issue('bad-cursor') })
    .optional(),
  most: z.coerce
    .number({ error: issue('page-size') })
    .int({ error: issue('page-size') })
    .min(1, { error: issue('page-size') })
    .max(MOST, { error: issue('page-size') })
    .default(usual),
})
