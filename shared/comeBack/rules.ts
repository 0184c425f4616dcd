import { z } from 'zod'
import { whole } from '../calculation/fields'
import { issue } from '../issue'

const MOST_DAYS = 3650

/** When to come back, as a machine or a works says it; null where it says nothing. */
export const comeBackFields = z.object({
  hotCheckDays: whole('days-until-the-hot-check', 1, MOST_DAYS).nullable().default(null),
  firstWeeksDays: whole('days-until-the-first-look', 1, MOST_DAYS).nullable().default(null),
  beltsHours: whole('hours-until-new-belts-are-read', 1, 24).nullable().default(null),
  beltsDays: whole('days-until-new-belts-are-read', 1, MOST_DAYS).nullable().default(null),
  beltsWeekDays: whole('days-until-new-belts-are-read', 1, MOST_DAYS).nullable().default(null),
  regularMonths: whole('months-between-looks', 1, 120).nullable().default(null),
  regularHours: whole('running-hours-between-looks', 1, 200_000).nullable().default(null),
  hoursPerWeek: whole('hours-of-a-week', 1, 168).nullable().default(null),
})

/** A change of the works' rules, against the version they were read at. */
export const worksRulesChange = z.intersection(
  z.object({ version: z.int({ error: issue('give-the-version-you-changed') }).min(1) }),
  comeBackFields,
)
