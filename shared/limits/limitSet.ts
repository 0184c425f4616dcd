import { z } from 'zod'
import { GRADES, LIMITED, type LimitRow, type LimitSet } from '../../core/judge/limitSets'
import { oneOf, positive, rpm, units } from '../calculation/fields'
import { issue } from '../issue'
import { text, uuid, words } from '../text'

const MOST_ROWS = 20

const rowLimits = z.object({
  offset: positive('offset-limit').nullable(),
  slope: positive('slope-limit').nullable(),
  flexSlope: positive('slope-limit').nullable(),
})
const row = z.object({ upTo: rpm.nullable(), fine: rowLimits, standard: rowLimits })

/** Speeds rise from row to row; only the last may be open. Something is limited. */
const sound = (rows: readonly LimitRow[], context: z.RefinementCtx): void => {
  const at = (i: number, message: string) => context.addIssue({ code: 'custom', path: [i, 'upTo'], message })
  rows.forEach((r, i) => {
    const before = rows[i - 1]
    if (before?.upTo === null) at(i, issue('row-behind-open-row'))
    else if (before && r.upTo !== null && before.upTo !== null && r.upTo <= before.upTo)
      at(i, issue('speeds-rise'))
  })
  const says = rows.some((r) => GRADES.some((g) => LIMITED.some((q) => r[g][q] !== null)))
  if (!says) context.addIssue({ code: 'custom', path: [0], message: issue('no-limit-in-the-set') })
}

/** What a person writes of a table of limits. */
export const limitSetFields = z
  .object({
    level: oneOf('level-of-limits', ['coupling', 'works']),
    coupling: text('kind-of-coupling', 60),
    name: words('name-of-the-limits', 80),
    source: text('source-of-the-limits', 200),
    revision: text('revision', 40),
    units,
    rows: z
      .array(row, { error: issue('rows-as-a-list') })
      .min(1, { error: issue('rows-as-a-list') })
      .max(MOST_ROWS, { error: issue('rows-as-a-list') })
      .superRefine(sound),
    /** Jobs opened from now on are judged by it; another of its level and coupling no longer. */
    inForce: z.boolean({ error: issue('in-force-or-not') }),
  })
  .superRefine(({ level, coupling }, context) => {
    if (level === 'coupling' && coupling.trim() === '')
      context.addIssue({ code: 'custom', path: ['coupling'], message: issue('say', 'kind-of-coupling') })
  })
export type LimitSetFields = Omit<LimitSet, 'id'> & { readonly inForce: boolean }

export const newLimitSet = z.intersection(z.object({ id: uuid('limits-id') }), limitSetFields)
export const limitSetChange = z.intersection(
  z.object({ version: z.int({ error: issue('give-the-version-you-changed') }).min(1) }),
  limitSetFields,
)

/** A table as the program keeps it. */
export type LimitSetRecord = LimitSetFields & { readonly id: string; readonly version: number }

/** A table as a job keeps it from its opening on. */
export const keptLimitSet = z.object({
  id: z.string(),
  level: z.enum(['coupling', 'works']),
  coupling: z.string(),
  name: z.string(),
  source: z.string(),
  revision: z.string(),
  units,
  rows: z.array(row),
})

/** What of a table a job keeps. */
export const asKept = ({
  id,
  level,
  coupling,
  name,
  source,
  revision,
  units: u,
  rows,
}: LimitSet): LimitSet => ({
  id,
  level,
  coupling,
  name,
  source,
  revision,
  units: u,
  rows,
})
